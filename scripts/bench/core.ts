// The core's heavy computations: the set decision of a 60-part pump with its forecasts, minimum zones of dense readings.
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import {
	decideWhole,
	defaultPolicy,
	economicInterval,
	judge,
	unknownLife,
	type WholeInput
} from '../../core/src/decide';
import { flatness, roundness } from '../../core/src/measure';
import {
	discardLimit,
	fold,
	placesToRead,
	readSheet,
	untouched,
	type Entry,
	type ModelSheet
} from '../../core/src/record';

const median = (times: number[]) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)];
function report(name: string, budgetMs: number | undefined, work: () => unknown, rounds = 9): void {
	work(); // once to be compiled
	const times = Array.from({ length: rounds }, () => {
		const start = performance.now();
		work();
		return performance.now() - start;
	});
	console.log(`${name}: median ${median(times).toFixed(1)} ms${budgetMs ? ` (budget ${budgetMs})` : ''}`);
}

const text = readFileSync(new URL('../../demo/sheets/marram.json', import.meta.url), 'utf8');
const { sheet } = readSheet(text) as { sheet: ModelSheet };

// Sixty parts, every one of them measured in full, each size half worn.
let count = 0;
const entry = (part: string, kind: Entry['kind'], payload: object): Entry =>
	({ id: `e${++count}`, job: 'j', part, by: 'b', at: new Date(count * 1000).toISOString(), kind, payload }) as Entry;
const measurable = sheet.stations.filter(({ characteristics }) =>
	characteristics.some(({ when }) => when === 'always')
);
const parts: WholeInput['parts'] = Array.from({ length: 60 }, (_, i) => {
	const station = measurable[i % measurable.length];
	const id = `p${i}`;
	const readings = station.characteristics
		.filter(({ when }) => when === 'always')
		.flatMap((one) => {
			const { rows, columns } = placesToRead(one);
			const value = (one.nominal + (discardLimit(one)?.value ?? one.nominal)) / 2;
			return rows.flatMap((_, row) =>
				columns.map((_, column) =>
					entry(id, 'reading', {
						characteristic: one.key,
						row,
						column,
						value: value + 0.001 * ((i + row + column) % 3),
						typed: { text: '', unit: one.unit }
					})
				)
			);
		});
	const record = fold([entry(id, 'clean', {}), ...readings]).parts.get(id)!;
	const input = {
		station,
		record,
		asFitted: {},
		gauges: [],
		life: {
			...unknownLife(station),
			age: { kind: 'known' as const, hours: 1500 + 10 * i },
			dutyHours: 1500 + 10 * i
		},
		stations: sheet.stations
	};
	return { id, cylinder: (i % 3) + 1, input };
});
const whole: WholeInput = { parts, policy: defaultPolicy, openingCost: 400 };

// A job of 72 parts as it is opened: every part judged for the first time, its measured sizes with two earlier looks each.
const firstOdds = () => {
	for (let i = 0; i < 72; i++) {
		const { input } = parts[i % parts.length];
		const { key, nominal } = input.station.characteristics[0];
		const limit = discardLimit(input.station.characteristics[0])?.value ?? nominal;
		const earlier = [1000, 500].map((hoursAgo, n) => ({
			characteristic: key,
			hoursAgo,
			value: nominal + (limit - nominal) * 0.15 * (n + 1),
			u: Math.abs(limit - nominal) / 30
		}));
		const measured = i % 5 < 2; // on the mat of that pump 28 of 72 parts are
		const record = measured ? { ...input.record } : untouched;
		judge({ ...input, record, life: { ...input.life!, earlier: measured ? earlier : [] }, policy: defaultPolicy });
	}
};
report('first odds of 72 parts, 28 of them measured, two earlier looks each', 150, firstOdds);
report('set of 60 parts: forecasts, three schools, set decision', 200, () => decideWhole(whole));
report('most economic interval of 60 parts, 24 intervals', undefined, () => economicInterval(whole), 3);

const noise = (i: number) => Math.sin(12.9898 * i) * Math.cos(78.233 * i);
const face = Array.from({ length: 200 }, (_, i) => ({
	x: (i % 20) * 10,
	y: Math.floor(i / 20) * 10,
	z: 0.0002 * (i % 20) + 0.01 * noise(i)
}));
report('minimum-zone flatness of 200 points', undefined, () => flatness(face));
const section = Array.from({ length: 360 }, (_, angleDeg) => ({
	angleDeg,
	value: 0.02 * Math.cos((angleDeg * Math.PI) / 180) + 0.004 * noise(angleDeg)
}));
report('minimum-zone roundness of 360 angles', undefined, () => roundness(section));
