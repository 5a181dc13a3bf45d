import Papa from 'papaparse';
import type { NewGauge } from '@exetasis/server/gauges';
import { newGaugeOf, newGaugeSchema } from './gauge';

/** The columns of a list of gauges, as its first line names them. */
export const gaugeColumns = [
	...['name', 'kind', 'resolution', 'repeatability', 'repeatabilityDof', 'reproducibility', 'expansion'],
	...['calibratedOn', 'dueOn', 'expandedU', 'k', 'certificate']
] as const;

interface CsvFault {
	/** Counted from 1, the line of names included. */
	readonly line: number;
	readonly message: string;
}
interface ReadGauges {
	readonly gauges: readonly NewGauge[];
	readonly faults: readonly CsvFault[];
	/** How many faults there are beyond those that are listed. */
	readonly more: number;
}

const MOST_FAULTS = 100;
const MOST_GAUGES = 5000;

/**
 * Reads a list of gauges: CSV with comma, semicolon or tab, its first line the names of the columns. Each line that does not
 * hold is named with what is wrong; the others stand. A name that comes twice counts once.
 */
export function readGauges(text: string): ReadGauges {
	const { data, meta } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: 'greedy' });
	const missing = gaugeColumns.filter((column) => !(meta.fields ?? []).includes(column));
	if (missing.length > 0)
		return { gauges: [], more: 0, faults: [{ line: 1, message: `The columns ${missing.join(', ')} are missing.` }] };
	const gauges = new Map<string, NewGauge>();
	const faults: CsvFault[] = [];
	data.forEach((row, index) => {
		const line = index + 2;
		if (index >= MOST_GAUGES) return;
		const parsed = newGaugeSchema.safeParse(row);
		if (!parsed.success) {
			const [issue] = parsed.error.issues;
			faults.push({ line, message: `${String(issue.path[0] ?? '')}: ${issue.message}` });
		} else if (gauges.has(parsed.data.name))
			faults.push({ line, message: `“${parsed.data.name}” is in the list twice.` });
		else gauges.set(parsed.data.name, newGaugeOf(parsed.data));
	});
	if (data.length > MOST_GAUGES)
		faults.unshift({ line: MOST_GAUGES + 2, message: `More than ${MOST_GAUGES} gauges: split the list.` });
	return {
		gauges: [...gauges.values()],
		faults: faults.slice(0, MOST_FAULTS),
		more: Math.max(0, faults.length - MOST_FAULTS)
	};
}
