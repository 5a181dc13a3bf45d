import type { Fastening } from './sheet';

/** Whether power may turn a fastener, and who says so; undefined where neither sheet nor shop says anything. */
export interface PowerSaid {
	readonly may: boolean;
	readonly by: 'sheet' | 'shop';
	readonly why?: string;
}

/** What sheet and shop say of power tools on a fastener as it comes out or goes in. The shop can forbid, never allow. */
export function powerOn(
	{ power }: Pick<Fastening, 'power'>,
	rule: 'sheet' | 'loosen' | 'never',
	going: 'out' | 'in'
): PowerSaid | undefined {
	const may = power && (going === 'out' ? power.loosen : power.runIn);
	if (may === false) return { may, by: 'sheet', ...(power?.why ? { why: power.why } : {}) };
	if (rule === 'never' || (rule === 'loosen' && going === 'in')) return { may: false, by: 'shop' };
	return may ? { may, by: 'sheet' } : undefined;
}
