import { z } from 'zod';
import { LONGEST_PASSWORD } from '@exetasis/server/auth/passwords';
import { wordsField } from '$lib/forms/fields';

export const signInSchema = z.object({
	email: wordsField('Type your e-mail address.'),
	password: z.string().min(1, 'Type your password.').max(LONGEST_PASSWORD, 'This password is too long.')
});
