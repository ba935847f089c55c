/** Temperature of a kitchen bench, and of a phase that names none, °C. */
export const ROOM_C = 22;
