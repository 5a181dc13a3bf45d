import { standingDecision } from '@exetasis/core/record';
import type { BenchPart, NewEntry } from '$lib/log/bench.svelte';

/** Clean, for those of these parts that no one has looked at yet. */
export const cleanAll = (parts: readonly BenchPart[]): NewEntry[] =>
	parts.filter(({ inspected }) => !inspected).map(({ cell }) => ({ kind: 'clean', part: cell.part, payload: {} }));

/** The patterns of one part on these others too; those that they have already stay as they are. */
export const sameOn = (part: BenchPart, others: readonly BenchPart[]): NewEntry[] =>
	others.flatMap(({ cell, record }) =>
		part.record.findings
			.filter(({ payload }) => !record.findings.some((finding) => finding.payload.pattern === payload.pattern))
			.map(({ payload }) => ({ kind: 'finding' as const, part: cell.part, payload }))
	);

/** Replace, for those of these parts that are not to be replaced already; `why` stands where something else is proposed. */
export const renewAll = (parts: readonly BenchPart[], why: string): NewEntry[] =>
	parts
		.filter(({ record }) => standingDecision(record)?.payload.verdict !== 'replace')
		.map(({ cell, judgement: { verdict: proposed } }) => ({
			kind: 'decision',
			part: cell.part,
			payload: { verdict: 'replace', proposed, ...(proposed === 'replace' ? {} : { why }) }
		}));

/** What is proposed, for those of these parts whose verdict no one has confirmed yet and that needs no second thought. */
export const acceptAll = (parts: readonly BenchPart[]): NewEntry[] =>
	parts.flatMap(({ cell, inspected, record, judgement: { verdict } }) =>
		inspected && record.decisions.length === 0 && (verdict === 'reuse' || verdict === 'replace')
			? [{ kind: 'decision' as const, part: cell.part, payload: { verdict, proposed: verdict } }]
			: []
	);
