import { expect, it } from 'vitest';
import { freePort } from './postgres.mjs';

it('never tells the same port twice, though no one listens there yet', async () => {
	const told = new Set<number>();
	// As many as make a repeat of the system’s own choice all but certain.
	for (let i = 0; i < 600; i++) told.add((await freePort()) as number);
	expect(told.size).toBe(600);
});
