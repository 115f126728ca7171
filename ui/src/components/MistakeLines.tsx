import type { ReactNode } from "react";
import type { Mistake } from "../api/client";
import { MessageText } from "./MessageText";

/**
 * What is wrong with a part, in the line of its hint. The line is kept while there is nothing to say: mistakes come
 * and go a moment after the last key, and what is beneath may not move from under a hand.
 */
export function MistakeLines({ mistakes, hint }: { mistakes: Mistake[]; hint?: ReactNode }) {
  return (
    <span className="mt-1 block min-h-5 min-w-0 flex-1 font-normal">
      {mistakes.length === 0
        ? hint && <span className="quiet text-xs">{hint}</span>
        : mistakes.map((mistake) => (
            <span key={`${mistake.from}-${mistake.message}`} className="block text-error" role="alert">
              <MessageText text={mistake.message} />
            </span>
          ))}
    </span>
  );
}
