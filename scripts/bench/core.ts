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
import { LifeContext } from '../../core/src/life';
import { flatness, roundness } from '../../core/src/measure';
import {
	discardLimit,
	fold,
	pointsToRead,
	readSheet,
	untouched,
	type Entry,
	type ModelSheet
} from '../../core/src/record';
import { shaftOrders } from '../../core/src/prove';
import { cheapestCover } from '@exetasis/server/solver';
import { exactLife, intervalCensored, fitWeibull, rightCensored, turnbull } from '../../core/src/survival';
import { followChains, type Visit } from '../../core/src/trace';
import { median, report } from './report';

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
		.flatMap((characteristic) => {
			const { rows, columns } = pointsToRead(characteristic);
			const value = (characteristic.nominal + (discardLimit(characteristic)?.value ?? characteristic.nominal)) / 2;
			return rows.flatMap((_, row) =>
				columns.map((_, column) =>
					entry(id, 'reading', {
						characteristic: characteristic.key,
						row,
						column,
						value: value + 0.001 * ((i + row + column) % 3),
						typed: { text: '', unit: characteristic.unit }
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

// Five cylinders of thirty stations, and what is recorded of them in a long job: looks, readings, decisions, steps and what was taken back.
const PARTS = 150;
const kinds: readonly [Entry['kind'], object][] = [
	['finding', { pattern: 'scratch', severity: 1, onset: 'service' }],
	['reading', { characteristic: 'diameter', row: 0, column: 0, value: 17.99, typed: { text: '17.99', unit: 'mm' } }],
	['clean', {}],
	['reading', { characteristic: 'diameter', row: 1, column: 1, value: 17.98, typed: { text: '17.98', unit: 'mm' } }],
	['decision', { verdict: 'reuse', proposed: 'reuse' }],
	['note', { text: 'looked at twice' }],
	['asFound', { where: 'inPlace' }],
	['putIn', { piece: 'same' }]
];
const long = Array.from({ length: 5000 }, (_, i): Entry => {
	const [kind, payload] = kinds[i % kinds.length];
	return i % 50 === 49
		? entry(`p${i % PARTS}`, 'withdraw', { entry: `e${count - 7}`, why: 'undone' })
		: entry(`p${i % PARTS}`, kind, payload);
});
report('5,000 entries folded over 5 × 30 parts', 30, () => fold(long));

// As a thread of the server and the page keep it.
const context = new LifeContext();

// A job of 72 parts as it is opened: every part judged for the first time, its measured sizes with two earlier looks each.
const firstForecasts = () => {
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
		judge({
			...input,
			record,
			life: { ...input.life!, earlier: measured ? earlier : [] },
			policy: defaultPolicy,
			context
		});
	}
};
report('first forecasts of 72 parts, 28 of them measured, two earlier looks each', 150, firstForecasts);
report('set of 60 parts: forecasts, three policies, set decision', 200, () => decideWhole({ ...whole, context }));
report('most economic interval of 60 parts, 24 intervals', undefined, () => economicInterval({ ...whole, context }), 3);

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

// A hundred thousand lives, half of them still running, and two thousand that end between two looks.
const draw = (i: number) => Math.abs(noise(i)) % 1 || 0.5;
const lives = Array.from({ length: 100_000 }, (_, i) => {
	const hours = 3000 * (-Math.log(draw(i + 1))) ** (1 / 1.7);
	const watched = 4000 * draw(i + 7);
	return hours < watched ? exactLife(hours) : rightCensored(watched);
});
report('Weibull with its limits, 100,000 censored lives', 100, () => fitWeibull(lives));
const between = Array.from({ length: 2000 }, (_, i) => {
	const hours = 3000 * (-Math.log(draw(i + 3))) ** (1 / 1.7);
	const every = 500 + 1000 * draw(i + 11);
	const inspections = Math.floor(hours / every);
	return i % 5 === 0
		? rightCensored(every * inspections + 1)
		: intervalCensored(every * inspections, every * (inspections + 1));
});
report('Turnbull on 2,000 intervals', 1000, () => turnbull(between), 3);

// Causes that are all tied together by what was found.
const tied = (causes: number) => {
	const chains = Array.from({ length: causes }, (_, k) => ({ prior: 0.05 + 0.01 * k, perHour: 1e-5 * (k + 1) }));
	const visits = Array.from({ length: 20 }, (_, t): Visit => ({
		hours: 1500,
		observed: Array.from({ length: 20 }, (__, j) => ({
			present: (j + t) % 3 === 0,
			backgroundRate: 0.05,
			links: [0, 1, 2].map((n) => ({ chain: (j + n * 5 + t) % causes, strength: 0.4 + 0.1 * n }))
		})),
		actions: []
	}));
	return () => followChains(chains, visits);
};
report('12 causes over 20 rebuilds', 50, tied(12));
report('16 causes over 20 rebuilds', 1500, tied(16), 3);

// A minute of a rig's trace at 4 kHz, one pulse a turn.
const turns = 900;
const trace = {
	sampleHz: 4000,
	pressureMPa: Float64Array.from(
		{ length: 240_000 },
		(_, i) => 10 + Math.sin((2 * Math.PI * i * 3 * 15) / 4000) + 0.1 * noise(i)
	),
	indexS: Array.from({ length: turns }, (_, i) => i / 15),
	speedRpm: 900
};
report('shaft orders of 60 s at 4 kHz', 100, () => shaftOrders(trace));

// Sixty parts by thirty kits of ten each, and singles: at many prices, since some are harder than others.
const coverAt = (prices: number) => ({
	needs: Array.from({ length: 60 }, (_, i) => ({ station: `s${i}`, pieces: 1 + (i % 3) })),
	offers: [
		...Array.from({ length: 30 }, (_, k) => ({
			number: `K${k}`,
			price: 30 + 7 * draw(k + 5 + 100 * prices),
			holds: Array.from({ length: 10 }, (__, i) => ({ station: `s${(k * 7 + i * 3) % 60}`, pieces: 1 + (i % 3) }))
		})),
		...Array.from({ length: 60 }, (_, i) => ({
			number: `S${i}`,
			price: 4 + 3 * draw(i + 9 + 100 * prices),
			holds: [{ station: `s${i}`, pieces: 1 }]
		}))
	],
	stock: []
});
await cheapestCover(coverAt(0));
const covers: number[] = [];
for (let prices = 0; prices < 17; prices++) {
	const start = performance.now();
	await cheapestCover(coverAt(prices));
	covers.push(performance.now() - start);
}
const longest = Math.max(...covers).toFixed(0);
console.log(
	`cover of 60 parts by 30 kits and singles: median ${median(covers).toFixed(1)} ms, longest ${longest} (budget 200)`
);
