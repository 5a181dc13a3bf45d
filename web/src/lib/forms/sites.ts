import { z } from 'zod';
import { nameField } from './fields';

export const siteSchema = z.object({
	id: z.uuid().or(z.literal('')).default(''),
	name: nameField('Type the site’s name.', 120)
});
export const moveSchema = z.object({
	site: z.uuid().or(z.literal('')).default(''),
	tag: z.string().trim().max(120).default('')
});
