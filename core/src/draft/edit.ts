import { requireThat } from '../number';
import { partType, type PartTypeKey } from '../part';
import type { Ask, Kit, Station, Step, SubAssembly } from '../record';
import type { Custom } from './customs';
import { defined } from './defined';
import { keyFor } from './keys';
import type { SheetDraft } from './newSheet';

const SHORT = 18;

const keysOf = (list: readonly { readonly key: string }[]): string[] => list.map(({ key }) => key);
const goesIn = (draft: SheetDraft): string[] => [...keysOf(draft.stations), ...keysOf(draft.subAssemblies)];

/** A draft, and the key of the part that was added to it. */
interface Added {
	readonly draft: SheetDraft;
	readonly key: string;
}

/** What is known of a part before anything is stated about it. */
export interface NewPart {
	readonly type: PartTypeKey;
	readonly name?: string;
	readonly pieces?: number;
	readonly per?: Station['per'];
	readonly price?: number;
	readonly number?: string;
}

/**
 * The draft with a new part at this place of the strip order, with what is usual for its type. Its direction is not stated,
 * unless both sides are alike. A price that is not given is the usual one, marked as assumed.
 * Errors: PreconditionError for pieces or a price that cannot be.
 */
export function withPart(draft: SheetDraft, at: number, part: NewPart, custom?: Custom): Added {
	const { pieces = 1, price = custom?.price ?? 0 } = part;
	requireThat(Number.isInteger(pieces) && pieces >= 1, 'withPart', 'pieces', pieces, 'at least 1');
	requireThat(price >= 0 && Number.isFinite(price), 'withPart', 'price', price, 'at least 0');
	const { name: typeName, symmetric } = partType(part.type);
	const name = uniqueName(part.name ?? typeName, draft);
	const key = keyFor(name, goesIn(draft));
	const before = draft.stations.at(Math.max(0, at - 1));
	const station: Station = {
		key,
		name,
		short: name.slice(0, SHORT).trim(),
		alsoCalled: [],
		type: part.type,
		per: part.per ?? custom?.per ?? 'cylinder',
		side: custom?.side ?? 'manifold',
		stays: false,
		in: before?.in ?? draft.assemblies[0].key,
		mayStayIn: [],
		face: { toward: symmetric ? 'either' : 'notStated', reversible: false },
		inferred: part.price === undefined ? ['price'] : [],
		renewal: custom?.renewal ?? 'inspect',
		scopes: keysOf(draft.scopes),
		pieces,
		tools: [],
		products: [],
		cautions: [],
		characteristics: [],
		price,
		...(part.number ? { number: part.number } : {}),
		collateral: 0,
		spoils: [],
		mates: [],
		gates: [],
		design: {}
	};
	return { draft: { ...draft, stations: draft.stations.toSpliced(at, 0, station) }, key };
}

function uniqueName(name: string, { stations }: SheetDraft): string {
	const names = new Set(stations.map((station) => station.name));
	if (!names.has(name)) return name;
	let number = 2;
	while (names.has(`${name} ${number}`)) number++;
	return `${name} ${number}`;
}

/** The draft with these parts taken out of the strip order and put in again, in their order, at this place among the others. */
export function withPartsMoved(draft: SheetDraft, keys: readonly string[], to: number): SheetDraft {
	const moved = draft.stations.filter(({ key }) => keys.includes(key));
	const others = draft.stations.filter(({ key }) => !keys.includes(key));
	return { ...draft, stations: others.toSpliced(Math.min(Math.max(0, to), others.length), 0, ...moved) };
}

/**
 * The draft with the parts of each cylinder and those that exist once per pump in these orders. Each list keeps its own places in
 * the strip order. A part that came from the other list stands behind the one before it, and exists as often as its new list says.
 * Shape: the keys of all stations, each in one of the lists; a key that is in neither stays as it is.
 */
export function withRows(draft: SheetDraft, perCylinder: readonly string[], perPump: readonly string[]): SheetDraft {
	const lists = { cylinder: perCylinder, pump: perPump };
	const listOf = new Map(
		(['cylinder', 'pump'] as const).flatMap((per) => lists[per].map((key): [string, Station['per']] => [key, per]))
	);
	const stations = new Map(draft.stations.map((station) => [station.key, station]));
	const came = new Set(draft.stations.filter(({ key, per }) => (listOf.get(key) ?? per) !== per).map(({ key }) => key));
	const left = {
		cylinder: perCylinder.filter((key) => stations.has(key) && !came.has(key)),
		pump: perPump.filter((key) => stations.has(key) && !came.has(key))
	};
	const order = draft.stations
		.filter(({ key }) => !came.has(key))
		.map(({ key, per }) => (listOf.has(key) ? left[per].shift()! : key));
	for (const per of ['cylinder', 'pump'] as const)
		for (const [i, key] of lists[per].entries()) {
			if (!came.has(key)) continue;
			const [before, after] = [order.indexOf(lists[per][i - 1]), order.indexOf(lists[per][i + 1])];
			order.splice(before >= 0 ? before + 1 : Math.max(0, after), 0, key);
		}
	return {
		...draft,
		stations: order.map((key) => {
			const station = stations.get(key)!;
			const per = listOf.get(key) ?? station.per;
			return per === station.per ? station : { ...station, per };
		})
	};
}

/** The draft with a copy behind each of these parts. The copies have no mates, kits, numbers or steps yet. */
export function withPartsCopied(draft: SheetDraft, keys: readonly string[]): SheetDraft {
	return keys.reduce((result, key) => {
		const at = result.stations.findIndex((candidate) => candidate.key === key);
		if (at < 0) return result;
		const { number: _number, ...station } = result.stations[at];
		const name = uniqueName(station.name, result);
		const copy = { ...station, name, short: name.slice(0, SHORT).trim(), key: keyFor(name, goesIn(result)) };
		return { ...result, stations: result.stations.toSpliced(at + 1, 0, copy) };
	}, draft);
}

/** The draft with some fields of a part changed. A part that is not there changes nothing. */
export const withPartChanged = (draft: SheetDraft, key: string, change: Partial<Station>): SheetDraft => ({
	...draft,
	stations: draft.stations.map((station) => (station.key === key ? defined({ ...station, ...change }) : station))
});

/** The draft with some fields of a step changed. */
export const withStepChanged = (draft: SheetDraft, key: string, change: Partial<Step>): SheetDraft => ({
	...draft,
	steps: draft.steps.map((step) => (step.key === key ? defined({ ...step, ...change }) : step))
});

/** The draft without this step and without what refers to it. */
export function withoutStep(draft: SheetDraft, key: string): SheetDraft {
	const steps = draft.steps
		.filter((step) => step.key !== key)
		.map((step) => {
			const cut = { ...step, after: drop(step.after, [key]), recalls: drop(step.recalls, [key]) };
			if (cut.within?.of === key) delete cut.within;
			if (cut.locks?.until === key) delete cut.locks;
			else if (cut.locks) cut.locks = { ...cut.locks, unless: drop(cut.locks.unless, [key]) };
			return cut;
		});
	return { ...draft, steps, order: dropFromOrder(draft.order, [key]) };
}

/** The draft with a step moved to another place among the others. */
export function withStepMoved(draft: SheetDraft, key: string, to: number): SheetDraft {
	const moved = draft.steps.filter((step) => step.key === key);
	const others = draft.steps.filter((step) => step.key !== key);
	return { ...draft, steps: others.toSpliced(Math.min(Math.max(0, to), others.length), 0, ...moved) };
}

const drop = (keys: readonly string[], gone: readonly string[]): string[] => keys.filter((key) => !gone.includes(key));
const dropFromOrder = (order: SheetDraft['order'], gone: readonly string[]): SheetDraft['order'] =>
	order.map((rule) => ({ ...rule, first: drop(rule.first, gone) })).filter(({ first }) => first.length >= 2);

interface Dissolved {
	readonly left: SubAssembly[];
	/** Sub-assemblies that are none any more, with the part or sub-assembly that is left of each. */
	readonly replaced: ReadonlyMap<string, string | undefined>;
}

// A sub-assembly of fewer than two parts is none: the one that holds it gets what is left of it.
function dropFromSubAssemblies(all: readonly SubAssembly[], gone: readonly string[]): Dissolved {
	let left = all.map((unit) => ({ ...unit, parts: drop(unit.parts, gone) }));
	const replaced = new Map<string, string | undefined>();
	for (let few = left.find(({ parts }) => parts.length < 2); few; few = left.find(({ parts }) => parts.length < 2)) {
		const { key, parts } = few;
		const last = parts.at(0);
		replaced.set(key, last);
		left = left
			.filter((unit) => unit.key !== key)
			.map((unit) => ({ ...unit, parts: unit.parts.flatMap((part) => (part === key ? (last ?? []) : part)) }));
	}
	return { left, replaced };
}

// Follows a key through the sub-assemblies that were dissolved to what stands for it now.
function standsFor(key: string, replaced: Dissolved['replaced']): string | undefined {
	return replaced.has(key) ? replaced.get(key) && standsFor(replaced.get(key)!, replaced) : key;
}

const replacedIn = (keys: readonly string[], replaced: Dissolved['replaced']): string[] => [
	...new Set(keys.flatMap((key) => standsFor(key, replaced) ?? []))
];

/** The draft with its sub-assemblies without these parts, and every reference to one that is dissolved led to what is left of it. */
function withoutInSubAssemblies(draft: SheetDraft, gone: readonly string[]): SheetDraft {
	const { left, replaced } = dropFromSubAssemblies(draft.subAssemblies, gone);
	return {
		...draft,
		subAssemblies: left,
		steps: draft.steps.flatMap((step) => {
			if (step.joins !== undefined && replaced.has(step.joins)) return [];
			return [{ ...step, stations: replacedIn(step.stations, replaced) }];
		}),
		order: draft.order.map((rule) => ({ ...rule, first: replacedIn(rule.first, replaced) }))
	};
}

function dropFromAsks(asks: readonly Ask[], gone: readonly string[]): Ask[] {
	return asks
		.filter((ask) => !((ask.kind === 'count' || ask.kind === 'size') && gone.includes(ask.station)))
		.map((ask) =>
			ask.kind !== 'choice'
				? ask
				: {
						...ask,
						choices: ask.choices.map(({ text, means }) => ({
							text,
							means:
								typeof means === 'object' && 'finding' in means && gone.includes(means.finding.station)
									? ('notStated' as const)
									: means
						}))
					}
		);
}

function dropFromSteps(steps: readonly Step[], gone: readonly string[]): Step[] {
	return steps.flatMap((step) => {
		const stations = drop(step.stations, gone);
		// A drafted step that took off only these parts has nothing left to do.
		if (stations.length === 0 && step.stations.length > 0 && step.stage === 'strip' && step.asks.length === 0)
			return [];
		return [{ ...step, stations, asks: dropFromAsks(step.asks, gone) }];
	});
}

const dropFromKits = (kits: readonly Kit[], gone: readonly string[]): Kit[] =>
	kits
		.map((kit) => ({ ...kit, holds: kit.holds.filter(({ station }) => !gone.includes(station)) }))
		.filter(({ holds }) => holds.length > 0);

/**
 * The draft without these parts and without what refers to them: mates, steps, questions, sub-assemblies, rules of order, kits,
 * look-alikes. A part that was fitted against a removed mate has no stated direction any more.
 */
export function withoutParts(whole: SheetDraft, keys: readonly string[]): SheetDraft {
	const draft = withoutInSubAssemblies(whole, keys);
	const stations = draft.stations
		.filter(({ key }) => !keys.includes(key))
		.map((station) => ({
			...station,
			mates: drop(station.mates, keys),
			gates: drop(station.gates, keys),
			spoils: drop(station.spoils, keys),
			face:
				station.face.mate !== undefined && keys.includes(station.face.mate)
					? { toward: 'notStated' as const, reversible: false }
					: station.face
		}));
	const steps = dropFromSteps(draft.steps, keys);
	const left = new Set(keysOf(steps));
	const cut = {
		...draft,
		stations,
		steps,
		order: dropFromOrder(draft.order, keys),
		kits: dropFromKits(draft.kits, keys),
		lookAlikes: draft.lookAlikes
			.map((lookAlike) => ({ ...lookAlike, stations: drop(lookAlike.stations, keys) }))
			.filter((lookAlike) => lookAlike.stations.length >= 2)
	};
	const goneSteps = keysOf(whole.steps).filter((key) => !left.has(key));
	return goneSteps.reduce(withoutStep, cut);
}

type Face = Station['face'];

/**
 * The direction that follows when a part is turned by a touch: to the pressure side, to the crank side, either way, not
 * stated. `point` names the feature that points there, unless the part has one already.
 */
export function turned(face: Face, point: Pick<Face, 'what' | 'feature'>): Face {
	const { clock, reversible } = face;
	const { what, feature } = face.what === undefined ? point : face;
	const kept = { ...(what ? { what } : {}), ...(feature ? { feature } : {}), ...(clock ? { clock } : {}), reversible };
	switch (face.toward) {
		case 'notStated':
			return { ...kept, toward: 'P' };
		case 'P':
			return { ...kept, toward: 'C' };
		case 'C':
			return { ...kept, toward: 'either' };
		default:
			return { ...kept, toward: 'notStated' };
	}
}

/** The draft with two parts named as mates of each other, or no longer. */
export function withMates(draft: SheetDraft, text: string, other: string): SheetDraft {
	if (text === other) return draft;
	const are = draft.stations.find(({ key }) => key === text)?.mates.includes(other) ?? false;
	const change = (key: string, mate: string, stations: readonly Station[]): Station[] =>
		stations.map((station) =>
			station.key !== key
				? station
				: { ...station, mates: are ? drop(station.mates, [mate]) : [...drop(station.mates, [mate]), mate] }
		);
	return { ...draft, stations: change(other, text, change(text, other, draft.stations)) };
}

/** The draft with a sub-assembly of these parts, in strip order reversed: the deepest is joined first. Undefined for fewer than two. */
export function withJoined(draft: SheetDraft, keys: readonly string[], name: string): SheetDraft | undefined {
	const parts = draft.stations.filter(({ key }) => keys.includes(key)).toReversed();
	if (parts.length < 2) return undefined;
	const per = parts.some((part) => part.per === 'cylinder') ? 'cylinder' : 'pump';
	const key = keyFor(name, goesIn(draft));
	const free = withoutInSubAssemblies(draft, keys);
	return {
		...free,
		subAssemblies: [...free.subAssemblies, { key, name, per, parts: keysOf(parts), sure: 'deduced' }]
	};
}

/** The draft without this sub-assembly: its parts go in one by one, in the order in which they were joined. */
export function withTakenApart(draft: SheetDraft, key: string): SheetDraft {
	const unit = draft.subAssemblies.find((each) => each.key === key);
	if (!unit) return draft;
	const apart = (keys: readonly string[]): string[] => keys.flatMap((each) => (each === key ? unit.parts : each));
	return {
		...draft,
		subAssemblies: draft.subAssemblies
			.filter((each) => each.key !== key)
			.map((each) => ({ ...each, parts: apart(each.parts) })),
		steps: draft.steps
			.filter(({ joins }) => joins !== key)
			.map((step) => ({ ...step, stations: apart(step.stations) })),
		order: draft.order.map((rule) => ({ ...rule, first: apart(rule.first) }))
	};
}
