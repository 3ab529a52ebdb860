/** With which thermometer an entry's temperatures were read, and what it showed: the entry itself has what they truly were. */
export interface ReadWith {
  tool: string;
  name: string;
  /** °C by the name of the value; `place1` and so on, or `water`, at the pit */
  shown: Record<string, number>;
  /** whether it had been held against ice or boiling water by then: its doubt is smaller */
  isChecked?: boolean;
}
