import { z } from 'zod';
import type { Station } from '@exetasis/core/record';

/** The size of one's own wrench for a tool of a model's sheet; where a tool turns several groups of fasteners, for each of them. */
export const wrenchSchema = z.strictObject({
	model: z.string().min(1).max(400),
	tool: z.string().min(1).max(60),
	fastener: z.string().min(1).max(60).optional(),
	size: z.string().trim().max(40)
});
export type Wrench = z.infer<typeof wrenchSchema>;

export const wrenchKey = ({ model, tool, fastener }: Omit<Wrench, 'size'>): string =>
	fastener === undefined ? `${model}/${tool}` : `${model}/${tool}/${fastener}`;

/** The groups of fasteners that a tool turns, where there are several: each may have a size of its own. */
export function fastenersOf(stations: readonly Station[], tool: string): readonly Station[] {
	const turned = stations.filter(
		({ fastening, tools }) => fastening && tools.some((candidate) => candidate.tool === tool)
	);
	return turned.length > 1 ? turned : [];
}

/** Keeps a size; false where it did not reach the server. */
export async function keepWrench(wrench: Wrench): Promise<boolean> {
	try {
		const headers = { 'content-type': 'application/json' };
		return (await fetch('/settings/wrenches', { method: 'POST', headers, body: JSON.stringify(wrench) })).ok;
	} catch {
		return false;
	}
}
