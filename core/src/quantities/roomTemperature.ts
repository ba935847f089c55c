/** Temperature of a kitchen bench, and of a phase that names none, °C. */
export const ROOM_C = 22;

/** Where pH and thickness of a sample are read, so that two readings can be compared, °C. */
export const READ_AT_C = { low: 20, high: 25 } as const;
