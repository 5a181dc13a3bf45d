import type { Risk, CompetingFailures } from '../life';
import type { JudgedCharacteristic } from './characteristic';
import type { LifeFacts, PartLife } from './partLife';
import type { Policy } from './policy';
import type { Reason } from './reason';

/** How one measured size will stand at the next service. */
export interface Outlook {
	/** Expected wear then with its standard uncertainty, in the unit of the size. */
	readonly expected: number;
	readonly u: number;
	/** P(wear beyond the discard limit by then), what is beyond now included, with what open parameters leave of it. */
	readonly risk: Risk;
	/** The same if a second look finds it inside now: the chance that it goes beyond from here. */
	readonly ifInside: number;
	/** Wear in 1000 h of the duty to come. */
	readonly ratePer1000h: number;
	/** Its rate against that of its kind in this pump, and the chance that it is at least twice that. */
	readonly faster: { readonly ratio: number; readonly probability: number };
	/** How much is prior and how much is record, in lives, and from how many parts. */
	readonly basis: {
		readonly from: 'sheet' | 'partType';
		readonly priorWeight: number;
		readonly lives: number;
		readonly parts: number;
	};
}

/** What else may end it by then, and the same of a new one in its place. */
export interface OtherOutlook {
	readonly risk: Risk;
	readonly fresh: number;
	readonly ends: Pick<CompetingFailures, 'events' | 'lives' | 'prior'>;
}

export function otherOutlook(life: PartLife, { intervalHours }: Policy): OtherOutlook {
	const { events, lives, prior } = life.ends;
	return {
		risk: life.other(intervalHours),
		fresh: life.freshOther(intervalHours),
		ends: { events, lives, prior }
	};
}

/** How each measured size will stand at the next service, by its key; what does not wear is left out. */
export function outlooksOf(life: PartLife, measured: readonly JudgedCharacteristic[], { intervalHours }: Policy) {
	const hours = life.duty(intervalHours);
	return Object.fromEntries(
		measured.flatMap(({ sheet, wear }): [string, Outlook][] => {
			const known = life.wearOf(sheet.key);
			if (!known) return [];
			const { worn, sd, per1000h } = known.expected(hours);
			const { prior, lives, parts } = known.knowledge;
			const risk = known.risk(hours);
			const now = known.chance(0);
			const outlook = {
				expected: worn * wear.allowance,
				u: sd * wear.allowance,
				risk,
				ifInside: now < 1 ? Math.max(0, (risk.probability - now) / (1 - now)) : 1,
				ratePer1000h: life.duty(per1000h) * wear.allowance,
				faster: known.faster(FAST),
				basis: { from: prior.from, priorWeight: prior.priorWeight, lives, parts }
			};
			return [[sheet.key, outlook]];
		})
	);
}
const FAST = 2; // times its kind's rate, from which a part is pointed out
const FAST_SURE = 0.5;
const LEAST_TOLD = 0.02; // chance of another end that is worth a reason where none is on record

/** What else may end it by then. Replacing helps only where a new part is the safer one: where age matters nothing it buys nothing. */
export function otherReasons({ risk, fresh, ends }: OtherOutlook, { intervalHours, acceptWearOut }: Policy): Reason[] {
	const { probability, low, high } = risk;
	const { events, lives, prior } = ends;
	if (events === 0 && probability < LEAST_TOLD) return [];
	const code = probability > acceptWearOut && fresh < probability / 2 ? 'likelyToFail' : 'otherRisk';
	return [{ code, probability, low, high, interval: intervalHours, events, lives, priorWeight: prior.priorWeight }];
}

/** What one measured size says against its limit, now and at the next service. */
export function sizeReasons(
	judgedCharacteristic: JudgedCharacteristic,
	outlook: Outlook | undefined,
	{ life, policy }: { readonly life?: LifeFacts; readonly policy: Policy }
): Reason[] {
	const { characteristic, sheet, value, limit, budget, wear } = judgedCharacteristic;
	const { zone, probabilityBeyond } = judgedCharacteristic.conformity;
	const beyondNew = -wear.worn;
	if (characteristic.beyondNewIsFault && beyondNew > sheet.tolerance + budget.U) {
		return [{ code: 'longerThanNew', characteristic: sheet.key, value, nominal: sheet.nominal, U: budget.U }];
	}
	const limitIs = sheet.limitFrom === 'assumed' ? { assumed: true as const } : {};
	const code = zone === 'beyond' ? 'beyondLimit' : zone === 'tooClose' ? 'tooClose' : 'insideLimit';
	const now: Reason = {
		code,
		characteristic: sheet.key,
		value,
		U: budget.U,
		limit,
		...limitIs,
		probability: probabilityBeyond
	};
	if (!outlook || zone === 'beyond') return [now];
	// What is too close to call is worth a second look, unless it goes out whatever that finds.
	const future: Reason = {
		code:
			(zone === 'tooClose' ? outlook.ifInside : outlook.risk.probability) > policy.acceptWearOut ? 'wearsOut' : 'lasts',
		characteristic: sheet.key,
		worn: wear.worn,
		allowance: wear.allowance,
		probability: outlook.risk.probability,
		...(life?.age.kind === 'known' ? { hours: life.age.hours } : {}),
		interval: policy.intervalHours,
		...limitIs
	};
	const { ratio, probability } = outlook.faster;
	const fast: Reason[] =
		probability > FAST_SURE ? [{ code: 'wearsFast', characteristic: sheet.key, ratio, probability }] : [];
	return [now, future, ...fast];
}
