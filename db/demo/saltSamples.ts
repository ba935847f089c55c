/** Jars the workshop made of the Green Room base: whole salt in % and thickness in Pa·s. */
export const demoSaltSamples = {
  formula: "Green Room body wash",
  saltSamples: [
    [0.67, 0.088],
    [0.97, 0.112],
    [1.37, 0.228],
    [1.77, 0.95],
    [2.17, 2.95],
    [2.57, 2.9],
    [2.97, 0.78],
  ],
} as const;
