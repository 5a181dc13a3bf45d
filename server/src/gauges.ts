import { v7 as uuidv7 } from 'uuid';
import type { ShopGauge } from '@exetasis/core/decide';
import type { CalibrationRow, GaugeRow } from './db/tables';
import { inTransaction, of, wasTaken, type ShopScope } from './db/scope';
import { gaugeUses, type GaugeUse } from './db/sql/gaugeUses';

interface GaugeListing extends ShopGauge {
	/** Days, as written on the certificate: "2026-03-01". */
	readonly calibratedOn: string;
	readonly dueOn: string;
	readonly certificate: string;
}

type WithCalibrations = GaugeRow & { calibrations: CalibrationRow[] };

/** All gauges of the shop, each with its newest calibration, also those used no more; one never calibrated is none. */
export async function gaugesOf(scope: ShopScope): Promise<GaugeListing[]> {
	const found = await of(scope, 'gauge').all<WithCalibrations>(
		{},
		{
			include: ['calibrations'],
			order: [
				['name', 'ASC'],
				['id', 'ASC'],
				['calibrations', 'calibratedOn', 'DESC']
			]
		}
	);
	return found.flatMap(({ calibrations: [newest], ...gauge }) => (newest ? [listing(gauge, newest, today())] : []));
}

/** The gauges in the order in which their calibration is due; those out of use come last. */
export const byDue = (gauges: readonly GaugeListing[]): GaugeListing[] =>
	gauges.toSorted((a, b) => Number(a.retired ?? false) - Number(b.retired ?? false) || a.dueOn.localeCompare(b.dueOn));

const today = () => new Date().toISOString().slice(0, 10);

const listing = (
	gauge: GaugeRow,
	{ calibratedOn, dueOn, certificate, ...newest }: CalibrationRow,
	day: string
): GaugeListing => ({
	id: gauge.id,
	name: gauge.name,
	kind: gauge.kind,
	calibratedOn,
	dueOn,
	certificate,
	...(gauge.retiredOn === null ? {} : { retired: true }),
	facts: {
		resolution: gauge.resolution,
		calibrationU: newest.expandedU,
		calibrationK: newest.k,
		repeatability: gauge.repeatability,
		repeatabilityDof: gauge.repeatabilityDof,
		reproducibility: gauge.reproducibility,
		expansionPerKelvin: gauge.expansionPerKelvin,
		overdue: dueOn < day
	}
});

/** What one says of a gauge when it is taken in or put right. */
export type GaugeFacts = Omit<GaugeRow, 'id' | 'shopId' | 'retiredOn'>;
/** One certificate. */
export type Certificate = Omit<CalibrationRow, 'id' | 'shopId' | 'gaugeId'>;

type GaugeKept = { readonly kind: 'kept'; readonly id: string } | { readonly kind: 'nameTaken' | 'unknownGauge' };

const nameTaken = (cause: unknown): GaugeKept => {
	if (!wasTaken(cause)) throw cause;
	return { kind: 'nameTaken' };
};

/** Takes in a gauge with its first certificate. */
export const addGauge = (scope: ShopScope, facts: GaugeFacts, certificate: Certificate): Promise<GaugeKept> =>
	inTransaction(scope, async (within): Promise<GaugeKept> => {
		const id = uuidv7();
		await of(within, 'gauge').add({ id, ...facts, retiredOn: null });
		await of(within, 'calibration').add({ id: uuidv7(), gaugeId: id, ...certificate });
		return { kind: 'kept', id };
	}).catch(nameTaken);

/** Puts what is known of a gauge right. Released jobs keep what they rested on. */
export async function changeGauge(scope: ShopScope, id: string, facts: GaugeFacts): Promise<GaugeKept> {
	try {
		return (await of(scope, 'gauge').change({ id }, facts)) > 0 ? { kind: 'kept', id } : { kind: 'unknownGauge' };
	} catch (cause) {
		return nameTaken(cause);
	}
}

/** Files a certificate; the newest one counts. */
export async function addCertificate(scope: ShopScope, id: string, certificate: Certificate): Promise<GaugeKept> {
	if ((await of(scope, 'gauge').count({ id })) === 0) return { kind: 'unknownGauge' };
	await of(scope, 'calibration').add({ id: uuidv7(), gaugeId: id, ...certificate });
	return { kind: 'kept', id };
}

/** Takes a gauge out of use from today, or back into use. Its readings keep it. */
export const retireGauge = async (scope: ShopScope, id: string, retired: boolean): Promise<GaugeKept> =>
	(await of(scope, 'gauge').change({ id }, { retiredOn: retired ? today() : null })) > 0
		? { kind: 'kept', id }
		: { kind: 'unknownGauge' };

interface GaugePage {
	readonly gauge: GaugeRow;
	readonly certificates: readonly CalibrationRow[];
	readonly uses: readonly GaugeUse[];
}

/** One gauge with its certificates, newest first, and the jobs in which it was used. */
export async function gaugeById(scope: ShopScope, id: string): Promise<GaugePage | undefined> {
	const gauge = await of(scope, 'gauge').one({ id });
	if (!gauge) return undefined;
	const certificates = await of(scope, 'calibration').all({ gaugeId: id }, { order: [['calibratedOn', 'DESC']] });
	return { gauge, certificates, uses: await gaugeUses(scope, id) };
}

export interface NewGauge {
	readonly facts: GaugeFacts;
	readonly certificate: Certificate;
}

/** Takes in many gauges; those whose name the shop has already are left as they are. Their names. */
export const addGauges = (scope: ShopScope, gauges: readonly NewGauge[]): Promise<string[]> =>
	inTransaction(scope, async (within) => {
		const known = new Set((await of(within, 'gauge').all({}, { attributes: ['name'] })).map(({ name }) => name));
		const fresh = gauges.filter(({ facts }) => !known.has(facts.name)).map((gauge) => ({ ...gauge, id: uuidv7() }));
		await of(within, 'gauge').addAll(fresh.map(({ id, facts }) => ({ id, ...facts, retiredOn: null })));
		await of(within, 'calibration').addAll(
			fresh.map(({ id, certificate }) => ({ id: uuidv7(), gaugeId: id, ...certificate }))
		);
		return gauges.filter(({ facts }) => known.has(facts.name)).map(({ facts }) => facts.name);
	});
