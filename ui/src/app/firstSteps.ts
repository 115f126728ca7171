import { placeOf } from "../components/record/tabs";
import { lasting } from "../storage";

/** What of the first steps no table tells: whether a record was tried, and whether the list was closed. */
export const noteTrial = () => lasting.set(placeOf("steps", "tried"), "yes");
export const wasTried = () => lasting.get(placeOf("steps", "tried")) !== null;
export const closeFirstSteps = () => lasting.set(placeOf("steps", "closed"), "yes");
export const areFirstStepsClosed = () => lasting.get(placeOf("steps", "closed")) !== null;
