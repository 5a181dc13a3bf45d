import { z } from 'zod';

/** The size of one's own wrench for a tool of a model's sheet. */
export const wrenchSchema = z.strictObject({
	model: z.string().min(1).max(400),
	tool: z.string().min(1).max(60),
	size: z.string().trim().max(40)
});
export type Wrench = z.infer<typeof wrenchSchema>;

export const wrenchKey = ({ model, tool }: Pick<Wrench, 'model' | 'tool'>): string => `${model}/${tool}`;

/** Keeps a size; false where it did not reach the server. */
export async function keepWrench(wrench: Wrench): Promise<boolean> {
	try {
		const headers = { 'content-type': 'application/json' };
		return (await fetch('/settings/wrenches', { method: 'POST', headers, body: JSON.stringify(wrench) })).ok;
	} catch {
		return false;
	}
}
