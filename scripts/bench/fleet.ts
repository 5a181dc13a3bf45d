// A large shop's record of one model: 400 pumps, 10,000 rebuilds. How long its fit takes, and how long a piece of it blocks.
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { learningFleet, type FleetRecord } from '../../core/src/decide';
import { discardLimit, pointsToRead, readSheet, type ModelSheet } from '../../core/src/record';

const PUMPS = 400;
const REBUILDS = 25;
const INTERVAL = 1500;
const LIFE_INTERVALS = 2; // each part is seen twice and goes

const text = readFileSync(new URL('../../demo/sheets/marram.json', import.meta.url), 'utf8');
const { sheet } = readSheet(text) as { sheet: ModelSheet };
const scatter = (i: number) => 0.5 + 0.5 * Math.abs(Math.sin(12.9898 * i));

const record: { [K in keyof FleetRecord]: FleetRecord[K][number][] } = { jobs: [], lives: [], sizes: [] };
let count = 0;
for (let pump = 0; pump < PUMPS; pump++) {
	const id = `pump ${pump}`;
	for (let rebuild = 1; rebuild <= REBUILDS; rebuild++)
		record.jobs.push({ pump: id, pumpHours: rebuild * INTERVAL, duty: { pressureMPa: 6 + (pump % 6), speedRpm: 950 } });
	for (const station of sheet.stations)
		for (let from = 1; from + LIFE_INTERVALS <= REBUILDS; from += LIFE_INTERVALS) {
			const part = `part ${++count}`;
			const seen = [from + 1, from + 2].map((rebuild) => rebuild * INTERVAL);
			record.lives.push({
				part,
				pump: id,
				station: station.key,
				fittedHours: from * INTERVAL,
				firstSeenHours: from * INTERVAL,
				removedHours: seen[1],
				endReason: count % 20 === 0 ? 'damaged' : 'worn',
				inspectedHours: seen,
				asFitted: {}
			});
			for (const characteristic of station.characteristics.filter(({ when }) => when === 'always')) {
				const limit = discardLimit(characteristic);
				if (!limit) continue;
				const { rows, columns } = pointsToRead(characteristic);
				for (const [n, pumpHours] of seen.entries()) {
					const value =
						characteristic.nominal + (limit.value - characteristic.nominal) * 0.3 * (n + 1) * scatter(count);
					const readings = rows.flatMap((_, row) => columns.map((_, column) => ({ row, column, value })));
					record.sizes.push({ part, pump: id, characteristic: characteristic.key, pumpHours, readings });
				}
			}
		}
}

const start = performance.now();
let longest = 0;
const pieces = learningFleet(sheet, record, []);
for (let before = start, done = false; !done;) {
	done = pieces.next().done === true;
	const now = performance.now();
	longest = Math.max(longest, now - before);
	before = now;
}
const seconds = (performance.now() - start) / 1000;
console.log(
	`fleet of ${PUMPS} pumps, ${record.jobs.length} rebuilds, ${record.lives.length} lives: fitted in ${seconds.toFixed(1)} s (budget 60), longest piece ${longest.toFixed(0)} ms`
);
