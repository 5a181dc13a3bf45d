/** How far a computed value lies from its reference, relative to the reference. For tests. */
export const relativeError = (computed: number, reference: number): number =>
	reference === 0 ? Math.abs(computed) : Math.abs(computed / reference - 1);
