// One shop of one world: tsx simulate.ts <world> <seed>. Its forecasts go to standard output as JSON.
import { readFileSync } from 'node:fs';
import { readSheet, type ModelSheet } from '../../core/src/record';
import { SimulatedShop } from './shop';

const [world, seed] = process.argv.slice(2);
const text = readFileSync(new URL('../../demo/sheets/korvan-kv18.json', import.meta.url), 'utf8');
const { sheet } = readSheet(text) as { sheet: ModelSheet };
process.stdout.write(JSON.stringify(new SimulatedShop(world, sheet, Number(seed)).work()));
