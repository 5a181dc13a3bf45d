import { gaugeKinds, gaugeUnit } from '@exetasis/core/part';
import { unitLabel } from '@exetasis/core/quantity';

/** The unit in which gauges of this kind read; mm for a kind that there is none of, which a form may hold. */
export function gaugeUnitLabel(kind: string): string {
	const known = gaugeKinds.find((gaugeKind) => gaugeKind === kind);
	return unitLabel(known ? gaugeUnit[known] : 'mm');
}
