import { holdOn, lastProofs } from '@exetasis/core/record';
import type { TraceVerdict } from '@exetasis/core/prove';
import { heldByWords, holdWords, unprovedWords, verdictWords } from '../words/proof';
import type { Reported } from './reportParts';

const drips = { none: 'no drips', stopping: 'a few drips, stopping', steady: 'drips steadily' } as const;

/** What the tests of a job showed, a sentence each; empty where no test is on record. */
export function provedSentences({ bench, state, format }: Reported): string[] {
	const { sheet, gauges, unbuilt } = bench;
	const last = lastProofs(state.proofs);
	const held = holdOn(sheet, last, gauges);
	return [
		...(held && sheet.proof ? [`${holdWords(held, sheet.proof, format)} ${heldByWords(held)}`] : []),
		...[...last.drips].map(([place, { seen }]) => `${place}: ${drips[seen]}.`),
		...(last.flow
			? [
					`Flow ${format.quantity(last.flow.flow.value, 'Lmin')} at ${format.quantity(last.flow.pressure.value, format.units.pressure)}.`
				]
			: []),
		...(last.trace
			? [
					`Pressure trace: ${verdictWords(last.trace.verdicts[0] as TraceVerdict).toLowerCase()} (${format.probability(last.trace.verdicts[0].probability)}).`
				]
			: []),
		...(unbuilt
			? [
					`Released before assembly and test were complete: “${unbuilt.why}” ${unbuilt.tests.map(unprovedWords).join(' ')}`
				]
			: [])
	];
}
