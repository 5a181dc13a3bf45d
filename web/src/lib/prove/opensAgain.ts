import type { TraceVerdict } from '@exetasis/core/prove';
import type { ModelSheet, Station } from '@exetasis/core/record';

const valves: readonly Station['type'][] = ['valve', 'valveCartridge', 'valvePlate', 'valveSeat'];
const packings: readonly Station['type'][] = ['lipSeal', 'ropePacking', 'vRing', 'cup'];
// On which side a valve works is said by its key, as in all our sheets.
const keyOf = { inlet: /^in(let)?[A-Z]/, discharge: /^(discharge|outlet)/i } as const;

interface PlaceToOpen {
	readonly station: Station;
	readonly cylinder: number;
}

/** The places that what a trace tells of asks to be opened again: the valve and its seat, then for an inlet valve the packing that looks like it. */
export function opensAgain({ stations }: Pick<ModelSheet, 'stations'>, verdict: TraceVerdict): PlaceToOpen[] {
	if (verdict.what !== 'inlet' && verdict.what !== 'discharge') return [];
	const side = keyOf[verdict.what];
	const asked = [
		...stations.filter(({ type, key }) => valves.includes(type) && side.test(key)),
		...(verdict.what === 'inlet' ? stations.filter(({ type }) => packings.includes(type)) : [])
	];
	return asked.map((station) => ({ station, cylinder: station.per === 'pump' ? 0 : verdict.cylinder }));
}
