/** A place of the mat as one word: station and cylinder, 0 for what the pump has one of. */
export const placeKey = (station: string, cylinder: number): string => `${station}/${cylinder}`;
