import { describe, expect, it } from 'vitest';
import type { BenchPart } from '$lib/log/bench.svelte';
import { acceptAll, cleanAll, renewAll, sameOn } from './forMany';

type Verdict = 'reuse' | 'replace' | 'lookAgain' | 'open';
const finding = (pattern: string, severity = 1) => ({ payload: { pattern, severity, onset: 'service' } });
const decided = (verdict: Verdict) => ({ payload: { verdict, proposed: verdict } });
const part = (
	id: string,
	{ inspected = true, verdict = 'reuse' as Verdict, findings = [] as object[], decisions = [] as object[] } = {}
) =>
	({ cell: { part: id }, inspected, record: { findings, decisions }, judgement: { verdict } }) as unknown as BenchPart;

describe('cleanAll', () => {
	it('says nothing of what has been looked at', () =>
		expect(cleanAll([part('a'), part('b', { inspected: false }), part('c', { inspected: false })])).toEqual([
			{ kind: 'clean', part: 'b', payload: {} },
			{ kind: 'clean', part: 'c', payload: {} }
		]));
	it('of none is nothing', () => expect(cleanAll([])).toEqual([]));
});

describe('sameOn', () => {
	const marked = part('a', { findings: [finding('pitted', 2), finding('faceWorn')] });
	it('puts what one shows on the others, as bad and as old', () =>
		expect(sameOn(marked, [part('b')])).toEqual([
			{ kind: 'finding', part: 'b', payload: { pattern: 'pitted', severity: 2, onset: 'service' } },
			{ kind: 'finding', part: 'b', payload: { pattern: 'faceWorn', severity: 1, onset: 'service' } }
		]));
	it('leaves a pattern that another shows already as it is', () => {
		const other = part('b', { findings: [finding('pitted', 3)] });
		expect(sameOn(marked, [other]).map(({ payload }) => payload)).toMatchObject([{ pattern: 'faceWorn' }]);
	});
	it('of a part that shows nothing is nothing', () => expect(sameOn(part('a'), [part('b')])).toEqual([]));
});

describe('renewAll', () => {
	it('overrules with the reason, and agrees without one', () =>
		expect(renewAll([part('a'), part('b', { verdict: 'replace' })], 'All of a kind')).toEqual([
			{ kind: 'decision', part: 'a', payload: { verdict: 'replace', proposed: 'reuse', why: 'All of a kind' } },
			{ kind: 'decision', part: 'b', payload: { verdict: 'replace', proposed: 'replace' } }
		]));
	it('leaves what is to be replaced already, not what was once and is kept now', () => {
		const once = part('b', { decisions: [decided('replace'), decided('reuse')] });
		const drafts = renewAll([part('a', { decisions: [decided('replace')] }), once], 'why');
		expect(drafts).toMatchObject([{ part: 'b' }]);
	});
});

describe('acceptAll', () => {
	it('takes what is proposed where no one has decided', () =>
		expect(acceptAll([part('a'), part('b', { verdict: 'replace' })])).toEqual([
			{ kind: 'decision', part: 'a', payload: { verdict: 'reuse', proposed: 'reuse' } },
			{ kind: 'decision', part: 'b', payload: { verdict: 'replace', proposed: 'replace' } }
		]));
	it.each([
		['not looked at', { inspected: false }],
		['to be looked at again', { verdict: 'lookAgain' as const }],
		['open', { verdict: 'open' as const }],
		['decided', { decisions: [decided('lookAgain')] }]
	])('never what is %s', (_, change) => expect(acceptAll([part('a', change)])).toEqual([]));
});
