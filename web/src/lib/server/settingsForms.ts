import { z } from 'zod';
import { LONGEST_PASSWORD, SHORTEST_PASSWORD } from '@exetasis/server/auth/passwords';
import { numerals } from '$lib/format/numbers';

export const unitsSchema = z.object({
	length: z.enum(['mm', 'in']),
	torque: z.enum(['Nm', 'ftlbf', 'inlbf']),
	pressure: z.enum(['MPa', 'bar', 'psi']),
	temperature: z.enum(['C', 'F'])
});
export const numeralsSchema = z.object({ numerals: z.enum(numerals) });
export const handsSchema = z.object({ hand: z.enum(['right', 'left']), pad: z.enum(['touch', 'always', 'never']) });
export const themeSchema = z.object({ theme: z.enum(['light', 'dark']) });

export const passwordsSchema = z.object({
	current: z.string().min(1, 'Type your current password.').max(LONGEST_PASSWORD, 'This password is too long.'),
	next: z
		.string()
		.min(SHORTEST_PASSWORD, `Type at least ${SHORTEST_PASSWORD} characters.`)
		.max(LONGEST_PASSWORD, `Type at most ${LONGEST_PASSWORD} characters.`)
});
