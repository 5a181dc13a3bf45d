// npm run layouts: what each demo sheet holds, counted: stations, of them in the layouts' table, directions, steps by stage, cautions.
import { readdirSync, readFileSync } from 'node:fs';
import { layoutTable } from '@exetasis/demo';
import { readSheet } from '@exetasis/core/record';

const folder = new URL('../demo/sheets/', import.meta.url);
const rows = readdirSync(folder).map((name) => {
	const read = readSheet(readFileSync(new URL(name, folder), 'utf8'));
	if (read.kind === 'faults') throw new Error(`${name}: ${read.faults[0].path} ${read.faults[0].message}`);
	const { layout, model, stations, steps, kits, scopes, variants } = read.sheet;
	const held = layoutTable[layout]?.trim().split('\n').length;
	const stage = (...of: string[]) => steps.filter((step) => of.includes(step.stage)).length;
	return {
		layout,
		model,
		stations: stations.length,
		'held to the layout': held ?? 'not yet',
		'with a side': stations.filter(({ face }) => ['P', 'C', 'mate'].includes(face.toward)).length,
		'not stated': stations.filter(({ face }) => face.toward === 'notStated').length,
		deduced: stations.filter(({ inferred }) => inferred.length > 0).length,
		'steps to open': stage('prepare', 'strip', 'clean'),
		'to build': stage('build'),
		'to prove': stage('prove'),
		cautions: stations.flatMap((station) => station.cautions).length + steps.flatMap(({ cautions }) => cautions).length,
		asks: steps.flatMap(({ asks }) => asks).length,
		kits: kits.length,
		scopes: scopes.length,
		variants: variants.length
	};
});
console.table(rows.sort((a, b) => a.layout.localeCompare(b.layout, 'en', { numeric: true })));
