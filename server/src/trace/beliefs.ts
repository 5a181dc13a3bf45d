import { LRUCache } from 'lru-cache';
import { groupBy } from '@exetasis/core/list';
import type { ModelSheet } from '@exetasis/core/record';
import {
	findingsAt,
	learnBackgroundRates,
	learnStrengths,
	type Action,
	type beliefsOf,
	type Beliefs,
	type CauseAt,
	type CauseNetwork,
	type Confirmed,
	type FindingAt,
	type LookedFor
} from '@exetasis/core/trace';
import { runHeavy } from '../background/heavy';
import { Kept, keyOf } from '../background/kept';
import { of, type ShopScope } from '../db/scope';
import { logMarks } from '../db/sql/logMarks';
import { newestSheet } from '../sheets';
import { casesOf, type CaseListing, type CaseOnRecord } from './cases';
import { evidenceOf, type RebuildOnRecord } from './evidence';
import { networkOf, type NetworkInForce } from './network';

export interface PumpBeliefs {
	readonly beliefs: Beliefs;
	readonly network: CauseNetwork;
	readonly revision: number;
	/** Confirmed cases of the shop that have moved its strengths. */
	readonly taughtBy: number;
	readonly rebuilds: readonly RebuildOnRecord[];
	readonly actions: readonly Action[];
	readonly cases: readonly CaseListing[];
}

/** What is believed of a pump's causes over its rebuilds, with the network as the shop's confirmed cases have taught it. */
export async function beliefsOfPump(
	scope: ShopScope,
	{ id, model }: { readonly id: string; readonly model: string }
): Promise<PumpBeliefs | undefined> {
	const sheet = (await newestSheet(scope, model))?.body;
	if (!sheet) return undefined;
	const inForce = await networkOf(scope);
	const confirmed = await confirmedCases(scope, inForce);
	const network = learnBackgroundRates(
		learnStrengths(inForce.network, confirmed),
		await lookedForElsewhere(scope, { id, model }, sheet, inForce)
	);
	const rebuilds = await evidenceOf(scope, id, sheet, network);
	const cases = await casesOf(scope, [id]);
	const actions = cases.flatMap(({ cause, cylinder, actedJobId, effectiveness }): Action[] => {
		const rebuild = rebuilds.findIndex(({ job }) => job === actedJobId);
		if (rebuild < 0 || effectiveness === null) return [];
		return [{ rebuild, ...causeAt(network, { cause, cylinder }), effectiveness }];
	});
	return {
		beliefs: await believed(scope.shopId, network, sheet, rebuilds, actions),
		network,
		revision: inForce.revision,
		taughtBy: confirmed.length,
		rebuilds,
		actions,
		cases
	};
}

const MOST_PUMPS_KEPT = 200;
const beliefs = new Kept<Beliefs>(MOST_PUMPS_KEPT);
function believed(shop: string, ...of: Parameters<typeof beliefsOf>): Promise<Beliefs> {
	const key = keyOf(of);
	return beliefs.get(key) ?? beliefs.keep(key, runHeavy(shop, 'beliefsOf', ...of));
}

// Of a large fleet so many pumps say how often a finding is there anyway.
const MOST_PUMPS = 40;
type FoundAtJob = { readonly job: string; readonly findings: readonly FindingAt[] };
// What a pump's log says holds until its log grows, or the network asks something else.
const foundOn = new LRUCache<string, readonly FoundAtJob[]>({ max: 2000 });

/** What was found on each of these pumps, rebuild by rebuild. */
async function findingsOn(
	scope: ShopScope,
	pumpIds: readonly string[],
	sheet: ModelSheet,
	{ network, revision }: NetworkInForce
): Promise<Map<string, readonly FoundAtJob[]>> {
	const marks = await logMarks(scope, pumpIds);
	const found = await Promise.all(
		marks.map(async ({ pump, mark }) => {
			const key = `${scope.shopId}/${pump}/${mark}/${sheet.revision}/${revision}`;
			const known =
				foundOn.get(key) ??
				(await evidenceOf(scope, pump, sheet, network)).map((rebuild) => ({
					job: rebuild.job,
					findings: findingsAt(network, sheet, rebuild)
				}));
			foundOn.set(key, known);
			return [pump, known] as const;
		})
	);
	return new Map(found);
}

/** How often each finding was looked for and found on the other pumps of a pump's model: what stands out is not to hide itself. */
async function lookedForElsewhere(
	scope: ShopScope,
	{ id: own, model }: { readonly id: string; readonly model: string },
	sheet: ModelSheet,
	inForce: NetworkInForce
): Promise<LookedFor[]> {
	const pumps = await of(scope, 'pump').all(
		{ model },
		{ attributes: ['id'], order: [['id', 'ASC']], limit: MOST_PUMPS }
	);
	const others = pumps.flatMap(({ id }) => (id === own ? [] : [id]));
	const sums = new Map<string, { inspected: number; present: number }>();
	for (const rebuilds of (await findingsOn(scope, others, sheet, inForce)).values())
		for (const { finding, present } of rebuilds.flatMap(({ findings }) => findings)) {
			if (present === undefined) continue;
			const sum = sums.get(finding) ?? { inspected: 0, present: 0 };
			sums.set(finding, { inspected: sum.inspected + 1, present: sum.present + (present ? 1 : 0) });
		}
	return [...sums].map(([finding, sum]) => ({ finding, ...sum }));
}

async function confirmedCases(scope: ShopScope, inForce: NetworkInForce): Promise<Confirmed[]> {
	const all = await of(scope, 'traceCase').all<CaseOnRecord>(
		{ outcome: 'confirmed' },
		{ include: [{ association: 'pump', attributes: ['model'] }] }
	);
	const told: Confirmed[] = [];
	for (const [model, cases] of groupBy(all, ({ pump }) => pump.model)) {
		const sheet = (await newestSheet(scope, model))?.body;
		if (!sheet) continue;
		const pumpIds = [...new Set(cases.map(({ pumpId }) => pumpId))];
		const found = await findingsOn(scope, pumpIds, sheet, inForce);
		for (const traceCase of cases) {
			const rebuild = found.get(traceCase.pumpId)?.find(({ job }) => job === traceCase.openedJobId);
			if (rebuild) told.push({ ...causeAt(inForce.network, traceCase), findings: rebuild.findings });
		}
	}
	return told;
}

/** Where the cause of a case works: on its cylinder, or on the pump as a whole. */
const causeAt = ({ causes }: CauseNetwork, { cause, cylinder }: CauseAt): CauseAt => ({
	cause,
	cylinder: causes.find(({ key }) => key === cause)?.on === 'pump' ? 0 : cylinder
});
