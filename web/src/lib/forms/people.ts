import { z } from 'zod';
import type { Role } from '@exetasis/server/access';
import { nameField } from './fields';

export const roles = ['technician', 'lead', 'viewer'] as const satisfies readonly Role[];
const name = nameField('Type the name.', 80);
const role = z.enum(roles, 'Choose a role.');

export const inviteSchema = z.object({
	name,
	email: z.email('Type the e-mail address for signing in.').max(200),
	role
});
export const personSchema = z.object({ person: z.string().min(1).max(64), name, role });
export const activeSchema = z.object({ person: z.string().min(1).max(64), active: z.enum(['true', 'false']) });
