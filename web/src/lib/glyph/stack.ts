import type { PartTypeKey } from '@exetasis/core/part';
import type { DrawnPart } from '@exetasis/server/sheets';

/** Side of the box in which a part is drawn. */
export const PART_BOX = 48;

/** Id under which a page holds the stack of a model. */
export const stackId = (model: string): string => `stack-${encodeURIComponent(model)}`;

// What tells one kind of pump from another: what displaces the liquid, what seals it, its valves. Fasteners and rings are alike.
const TELLING: readonly PartTypeKey[] = [
	'plunger',
	'piston',
	'diaphragm',
	'rod',
	'cup',
	'ropePacking',
	'vRing',
	'cylinder',
	'lipSeal',
	'sealCase',
	'valveCartridge',
	'valvePlate',
	'cage',
	'valve',
	'valveSeat',
	'manifold'
];
const MOST_TOLD = 6;

/** The parts by which one recognises a model, each kind once, in the order in which they come out. */
export function tellingParts(stack: readonly DrawnPart[]): readonly DrawnPart[] {
	const first = new Map(stack.toReversed().map((part) => [part.type, part]));
	const told = TELLING.filter((type) => first.has(type)).slice(0, MOST_TOLD);
	return stack.filter((part) => told.includes(part.type) && first.get(part.type) === part);
}
