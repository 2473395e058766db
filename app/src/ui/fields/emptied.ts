/**
 * What a field of a number may hold, and how it is emptied. One that may begin with nothing says how it comes to nothing again:
 * a line that goes wrong leaves nothing of it behind.
 */
export type Emptied<Value> =
  | { value: Value; onClear?: () => void; onNothing?: undefined }
  /** It may be left empty. */
  | { value: Value | undefined; onClear: () => void; onNothing?: undefined }
  /** Something has to be typed before the form is done with. */
  | { value: Value | undefined; onClear?: undefined; onNothing: () => void };
