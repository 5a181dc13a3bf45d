import { describe, expect, it } from 'vitest';
import { metric } from '@exetasis/core/quantity';
import { importSentence } from './jobFile';
import type { ImportRefused } from '@exetasis/server/jobFile/refused';

const refused: readonly (readonly [ImportRefused, string])[] = [
	[
		{ kind: 'fault', path: '(text)', message: 'Unexpected end' },
		'This is no job file: its text could not be read. Choose the .json that a job was handed out as.'
	],
	[
		{ kind: 'fault', path: 'job.number', message: 'Required' },
		'This is no job file of version 1: “job.number”: Required. Ask whoever made it for it anew.'
	],
	[
		{ kind: 'otherSheet', model: 'Marram', revision: 2 },
		'Your shop has a revision 2 of Marram that says something else. Ask for the job with a sheet of another revision.'
	],
	[
		{ kind: 'pumpKnown', serial: 'MAR-0256', pumpId: 'x' },
		'Your shop knows the pump MAR-0256: what its parts have run would be told twice. Nothing was taken in.'
	],
	[
		{ kind: 'otherGauge', name: 'Micrometer 3' },
		'Your shop has another gauge called “Micrometer 3”. Rename yours under Gauges, then take the job in.'
	],
	[
		{ kind: 'wrongPart', place: 'plunger/9' },
		'What is said of the part at “plunger/9” does not fit: the sheet has no such place, it is there twice, or it went and nothing came.'
	],
	[
		{ kind: 'wrongEntry', id: '17', problem: { code: 'otherJob' } },
		'The entry 17 of its log cannot be: This belongs to another job.'
	],
	[{ kind: 'unknownName', name: '@person/4' }, 'Its log speaks of “@person/4”, which the file does not hold.'],
	[
		{ kind: 'wrongPhoto', sha256: 'abcdef0123456789' },
		'The photograph abcdef012345… is not the one that it is named after, or cannot be kept.'
	],
	[{ kind: 'entriesTaken' }, 'Entries of its log are in another job of your shop already, or there twice.'],
	[
		{ kind: 'unworkable' },
		'It is well formed, and yet a part of it cannot be stored or judged. Ask whoever made it for it anew.'
	]
];

describe('why a job file was not taken in', () => {
	it.each(refused)('$kind', (why, sentence) => {
		expect(importSentence(why, metric)).toBe(sentence);
	});
	it('does not repeat what a hostile file is full of', () => {
		const long = 'x'.repeat(100_000);
		for (const why of [
			{ kind: 'fault', path: long, message: long },
			{ kind: 'wrongPart', place: long },
			{ kind: 'unknownName', name: long },
			{ kind: 'wrongPhoto', sha256: long }
		] as const)
			expect(importSentence(why, metric).length).toBeLessThan(400);
	});
});
