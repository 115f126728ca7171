import {
  type DragEndEvent,
  getFirstCollision,
  KeyboardSensor,
  type Over,
  PointerSensor,
  type PointerSensorProps,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { sortableKeyboardCoordinates } from "@dnd-kit/sortable";
import { flushSync } from "react-dom";
import { t } from "../words";

/**
 * Draws each move before the next is heard. Otherwise what a quick hand drops lands where it was drawn last, which
 * on a busy machine is where it was picked up.
 */
class PromptPointerSensor extends PointerSensor {
  constructor(props: PointerSensorProps) {
    super({ ...props, onMove: (place) => flushSync(() => props.onMove(place)) });
  }
}

/**
 * What hears the mouse, the pen and the finger; a click that moves a little is still a click.
 * @param byKeys whether the arrows move things too, where nothing else is meant by them
 */
export function useDragging(byKeys = false) {
  const pointer = useSensor(PromptPointerSensor, { activationConstraint: { distance: 4 } });
  const keys = useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates });
  return useSensors(pointer, byKeys ? keys : null);
}

/** On what something was dropped, null where on nothing else. */
export function droppedOn({ active, over, collisions }: DragEndEvent): string | null {
  const id = getFirstCollision(collisions, "id") ?? over?.id ?? null;
  return id === null || id === active.id ? null : String(id);
}

/** What is read out to whoever moves things by keyboard; places are counted from 1. */
export const draggingWords = () => ({
  screenReaderInstructions: { draggable: t("dragging.how") },
  announcements: {
    onDragStart: () => undefined,
    onDragOver: ({ over }: { over: Over | null }) => {
      const place = over?.data.current?.sortable?.index as number | undefined;
      return place === undefined ? undefined : t("dragging.over", { place: place + 1 });
    },
    onDragEnd: () => t("dragging.dropped"),
    onDragCancel: () => t("dragging.cancelled"),
  },
});
