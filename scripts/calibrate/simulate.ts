// One shop of one world: tsx simulate.ts <world> <seed>. Its forecasts go to standard output as JSON.
import { readFileSync } from 'node:fs';
import { readSheet, type ModelSheet } from '../../core/src/record';
import { SimulatedShop } from './shop';

const [world, seed] = process.argv.slice(2);
const text = readFileSync(new URL('../../demo/sheets/marram.json', import.meta.url), 'utf8');
const { sheet: whole } = readSheet(text) as { sheet: ModelSheet };
// The demo's own world has the whole pump. The others have the parts of each sort that are measured most, which is quicker,
// and whose probability of any going beyond spreads from low to high instead of lying near one.
const measuredMost = ['lowPressureSeal', 'packing', 'plunger', 'inletSeat', 'inletSpring'];
const sheet =
	world === 'demo' ? whole : { ...whole, stations: whole.stations.filter(({ key }) => measuredMost.includes(key)) };
process.stdout.write(JSON.stringify(new SimulatedShop(world, sheet, Number(seed)).work()));
