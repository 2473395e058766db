/** A height of a round thing and how thick it is there, mm. */
export interface Station {
  name: string;
  height: number;
  diameter: number;
}
