import { z } from 'zod';
import { LONGEST_PASSWORD, SHORTEST_PASSWORD } from '@exetasis/server/auth/passwords';
import { nameField } from '$lib/forms/fields';

export const setupSchema = z.object({
	shop: nameField('Type the name of your shop.', 80),
	currency: z
		.string()
		.trim()
		.toUpperCase()
		.regex(/^[A-Z]{3}$/, 'Type three letters, for example EUR.')
		.default('EUR'),
	units: z.enum(['metric', 'inch'], 'Choose the units.').default('metric'),
	name: nameField('Type your name.', 80),
	email: z.email('Type the e-mail address for signing in.').max(200),
	password: z
		.string()
		.min(SHORTEST_PASSWORD, `Type at least ${SHORTEST_PASSWORD} characters.`)
		.max(LONGEST_PASSWORD, `Type at most ${LONGEST_PASSWORD} characters.`),
	code: z.string().trim().max(20, 'The code has eight characters.').default('')
});
