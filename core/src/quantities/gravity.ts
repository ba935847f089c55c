/** Standard acceleration of free fall, m/s² (3rd CGPM, 1901). */
export const GRAVITY = 9.80665;
