// What an edit of a large sheet, a part laid down and a long parts list take.
import { readdirSync, readFileSync } from 'node:fs';
import {
	customsOf,
	faultsOf,
	knownNames,
	proposeParts,
	withLaidDown,
	withPart,
	type SheetDraft
} from '../../core/src/draft';
import { MOST_STATIONS, readSheet, sheetSchema, type ModelSheet } from '../../core/src/record';
import { report } from './report';

const folder = new URL('../../demo/sheets/', import.meta.url);
const sheets = readdirSync(folder).map(
	(name) => (readSheet(readFileSync(new URL(name, folder), 'utf8')) as { sheet: ModelSheet }).sheet
);
const marram = sheets.find(({ model }) => model === 'Marram')!;
const customs = customsOf(sheets);

const grownTo = (count: number): SheetDraft => {
	let draft: SheetDraft = marram;
	for (let i = draft.stations.length; i < count; i++) {
		const { type } = marram.stations[i % marram.stations.length];
		draft = withPart(draft, i, { type }, customs[type]).draft;
	}
	return draft;
};
const full = grownTo(MOST_STATIONS);
report(`check of a draft of ${MOST_STATIONS} parts`, 100, () => faultsOf(full));

const almost = grownTo(MOST_STATIONS - 1) as ModelSheet;
report(`a part laid down on a sheet of ${MOST_STATIONS - 1}`, 50, () =>
	sheetSchema.safeParse(withLaidDown(almost, [{ type: 'oRing' }], customs).draft)
);

const names = knownNames(sheets);
const described = sheets.flatMap(({ stations }) => stations.map(({ name }) => name));
const lines = Array.from({ length: 2000 }, (_, i) => ({
	item: `${i + 1}`,
	description: `${described[i % described.length]} ${i} mm, ${described[(7 * i) % described.length]}`,
	quantity: 1 + (i % 6)
}));
report('a parts list of 2,000 lines, no two alike', 1000, () => proposeParts(lines, names, 3));
