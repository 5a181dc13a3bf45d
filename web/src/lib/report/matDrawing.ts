import { placeKey, type JudgedPart } from '@exetasis/core/mat';
import { standingDecision, type Station } from '@exetasis/core/record';

const CELL = 20;
const LEFT = 30;
const TOP = 84;

const escaped = (text: string): string =>
	text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

/** What stands in a cell: a new part, one that stays with something found, one that stays as it is. */
function mark({ record }: JudgedPart): { fill: string; sign: string } {
	const verdict = standingDecision(record)?.payload.verdict;
	if (verdict === 'replace') return { fill: '#30363d', sign: 'N' };
	return record.findings.length > 0 ? { fill: '#d9b36a', sign: '!' } : { fill: '#ffffff', sign: '' };
}

/** The mat as a drawing: a row for each cylinder (0 is the pump's own), a column for each station, what was done in each cell. */
export function matDrawing(stations: readonly Station[], cylinders: number, parts: readonly JudgedPart[]): string {
	const byPlace = new Map(parts.map((part) => [placeKey(part.cell.station, part.cell.cylinder), part]));
	const rows = [0, ...Array.from({ length: cylinders }, (_, i) => i + 1)];
	const width = LEFT + CELL * stations.length + 60;
	const height = TOP + CELL * rows.length + 4;
	const heads = stations.map(({ short }, i) => {
		const x = LEFT + CELL * i + 13;
		return `<text x="${x}" y="${TOP - 6}" font-size="9" transform="rotate(-60 ${x} ${TOP - 6})">${escaped(short)}</text>`;
	});
	const cells = rows.flatMap((cylinder, row) =>
		stations.map(({ key }, i) => {
			const part = byPlace.get(placeKey(key, cylinder));
			if (!part) return '';
			const { fill, sign } = mark(part);
			const [x, y] = [LEFT + CELL * i, TOP + CELL * row];
			const ink = fill === '#30363d' ? '#ffffff' : '#20262c';
			const box = `<rect x="${x}" y="${y}" width="${CELL - 2}" height="${CELL - 2}" fill="${fill}" stroke="#20262c" stroke-width="0.7"/>`;
			return `${box}<text x="${x + 6}" y="${y + 13}" font-size="10" fill="${ink}">${sign}</text>`;
		})
	);
	const names = rows.map(
		(cylinder, row) =>
			`<text x="2" y="${TOP + CELL * row + 13}" font-size="9">${cylinder === 0 ? 'pump' : `cyl ${cylinder}`}</text>`
	);
	return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" font-family="Inter">${[...heads, ...names, ...cells].join('')}</svg>`;
}
