import { z } from 'zod';
import { patternKeys } from '../part/patterns';
import { partTypeKeys } from '../part/register';

const key = z.string().regex(/^[a-z][A-Za-z0-9]{0,59}$/);
const share = z.number().gt(0).lt(1);
/** Part types, and the stations of them that alone are meant, or that are not. */
const where = {
	parts: z.array(z.enum(partTypeKeys)).min(1),
	only: z.array(key).optional(),
	except: z.array(key).optional()
};
const common = {
	key,
	name: z.string().min(1).max(120),
	/** P(present, though none of its causes is at work). */
	backgroundRate: share,
	/** Minutes that looking for it takes. */
	minutes: z.number().gt(0).max(600)
};

/** Something that can be found at a rebuild and tells of causes, and how the record answers whether it was. */
const findingNodeSchema = z.discriminatedUnion('by', [
	/** One of these patterns on one of these part types: made in service since the last inspection, or there before and kept. */
	z.strictObject({
		...common,
		by: z.literal('mark'),
		...where,
		patterns: z.array(z.enum(patternKeys)).min(1),
		seen: z.enum(['new', 'kept']).default('new')
	}),
	/** The same, made when the pump was last put together. */
	z.strictObject({
		...common,
		by: z.literal('assembly'),
		...where,
		patterns: z.array(z.enum(patternKeys)).min(1)
	}),
	/** How such a part was found: the wrong way round, missing, or doubled. */
	z.strictObject({ ...common, by: z.literal('asFound'), ...where }),
	/** Such a part was worn or damaged before this share of what its kind lasts. */
	z.strictObject({ ...common, by: z.literal('early'), ...where, share }),
	/** A size of such a part beyond its limit. */
	z.strictObject({ ...common, by: z.literal('size'), ...where, sizes: z.array(key).min(1) }),
	/** One-sided marks on several cylinders' parts look the same way round the shaft. */
	z.strictObject({ ...common, by: z.literal('sameSide'), ...where }),
	/** The duty that was declared at receipt. */
	z.strictObject({
		...common,
		by: z.literal('duty'),
		what: z.enum(['hot', 'highPressure', 'fast']),
		from: z.number().gt(0)
	}),
	/** What the pressure trace on the rig said. */
	z.strictObject({ ...common, by: z.literal('rig'), what: z.enum(['air', 'inlet', 'discharge']) })
]);
export type FindingNode = z.infer<typeof findingNodeSchema>;

/** What makes pumps fail again. */
const causeSchema = z.strictObject({
	key,
	name: z.string().min(1).max(120),
	/** Works on the whole pump, or on one cylinder. */
	on: z.enum(['pump', 'cylinder']),
	kind: z.enum(['service', 'assembly', 'age']),
	phase: z.enum(['early', 'any', 'late']),
	/** P(at work when the pump is first seen). */
	prior: share,
	/** How often it arises again, per 1000 h of a pump or cylinder without it. */
	per1000h: z.number().gt(0).max(10),
	/** P(it is gone after a rebuild though no one acted on it): what one assembly did the next one undoes, an incident is over, a season passes. */
	endsByItself: z.number().min(0).max(1).default(0),
	links: z
		.array(
			z.strictObject({
				finding: key,
				/** P(the cause alone brings the finding about between two rebuilds). */
				strength: share,
				/** How firmly the strength is believed, in confirmed cases. */
				priorWeight: z.number().gt(0).max(1000)
			})
		)
		.min(1),
	/** What to do about it, in the shop's words. */
	remedy: z.string().min(1).max(300)
});
export type Cause = z.infer<typeof causeSchema>;

/** Damage that makes damage: where the first is found, the second may follow from it alone. */
const followSchema = z.strictObject({ from: key, to: key, strength: share });

const causeNetworkSchema = z.strictObject({
	version: z.literal(1),
	findings: z.array(findingNodeSchema).min(1).max(120),
	causes: z.array(causeSchema).min(1).max(60),
	follows: z.array(followSchema).max(120)
});
export type CauseNetwork = z.infer<typeof causeNetworkSchema>;

/** What is wrong with a network, and where. */
export type NetworkFault =
	| { readonly code: 'shape'; readonly path: readonly (string | number)[]; readonly says: string }
	| { readonly code: 'twice'; readonly key: string }
	| { readonly code: 'unknownFinding'; readonly key: string; readonly at: string }
	| { readonly code: 'linkedTwice'; readonly key: string; readonly at: string }
	| { readonly code: 'withoutCause'; readonly key: string }
	| { readonly code: 'cycle'; readonly keys: readonly string[] };

/** Reads a network that someone wrote; all its faults at once. */
export function readNetwork(
	input: unknown
): { readonly network: CauseNetwork } | { readonly faults: readonly NetworkFault[] } {
	const read = causeNetworkSchema.safeParse(input);
	if (!read.success)
		return {
			faults: read.error.issues.map(({ path, message }) => ({
				code: 'shape',
				path: path.map((part) => (typeof part === 'number' ? part : String(part))),
				says: message
			}))
		};
	const faults = faultsOf(read.data);
	return faults.length > 0 ? { faults } : { network: read.data };
}

function faultsOf({ findings, causes, follows }: CauseNetwork): NetworkFault[] {
	const keys = [...findings, ...causes].map((node) => node.key);
	const known = new Set(findings.map((finding) => finding.key));
	const twice = [...new Set(keys.filter((key, i) => keys.indexOf(key) !== i))];
	const unknown = (finding: string, at: string): NetworkFault[] =>
		known.has(finding) ? [] : [{ code: 'unknownFinding', key: finding, at }];
	const linked = new Set(causes.flatMap(({ links }) => links.map(({ finding }) => finding)));
	const to = new Set(follows.map((next) => next.to));
	const cycle = cycleIn(follows);
	return [
		...twice.map((text): NetworkFault => ({ code: 'twice', key: text })),
		...causes.flatMap((cause) =>
			cause.links.flatMap(({ finding }, i): NetworkFault[] => [
				...unknown(finding, cause.key),
				...(cause.links.findIndex((link) => link.finding === finding) < i
					? [{ code: 'linkedTwice', key: finding, at: cause.key } as const]
					: [])
			])
		),
		...follows.flatMap(({ from, to: next }) => [
			...unknown(from, `${from} → ${next}`),
			...unknown(next, `${from} → ${next}`)
		]),
		...[...known]
			.filter((text) => !linked.has(text) && !to.has(text))
			.map((text): NetworkFault => ({ code: 'withoutCause', key: text })),
		...(cycle ? [{ code: 'cycle', keys: cycle } as const] : [])
	];
}

function cycleIn(follows: CauseNetwork['follows']): string[] | undefined {
	const next = new Map<string, string[]>();
	for (const { from, to } of follows) next.set(from, [...(next.get(from) ?? []), to]);
	const done = new Set<string>();
	const walk = (at: string, path: readonly string[]): string[] | undefined => {
		if (path.includes(at)) return [...path.slice(path.indexOf(at)), at];
		if (done.has(at)) return undefined;
		for (const text of next.get(at) ?? []) {
			const found = walk(text, [...path, at]);
			if (found) return found;
		}
		done.add(at);
		return undefined;
	};
	for (const from of next.keys()) {
		const found = walk(from, []);
		if (found) return found;
	}
	return undefined;
}
