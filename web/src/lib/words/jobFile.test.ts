import { describe, expect, it } from 'vitest';
import { importSentence } from './jobFile';
import type { ImportRefused } from '@exetasis/server/jobFile/refused';
import { defaultFormat } from '../format/numbers';

const refused: readonly (readonly [ImportRefused, string])[] = [
	[
		{ kind: 'fault', path: '(text)', message: 'Unexpected end' },
		'This file is not a job file or is damaged. Choose the .json file that was exported from a job.'
	],
	[
		{ kind: 'fault', path: 'job.number', message: 'Required' },
		'This is not a valid job file (version 1). “job.number”: Required. Ask the sender to export it again.'
	],
	[
		{ kind: 'otherSheet', model: 'Marram', revision: 2 },
		'Your shop has a different revision 2 of Marram. Ask the sender for the job with another revision of the sheet.'
	],
	[
		{ kind: 'pumpKnown', serial: 'MAR-0256', pumpId: 'x' },
		'Your shop already has the pump MAR-0256. Importing the job would count its hours twice. Nothing was imported.'
	],
	[
		{ kind: 'otherGauge', name: 'Micrometer 3' },
		'Your shop has another gauge called “Micrometer 3”. Rename yours under Gauges, then import the job.'
	],
	[
		{ kind: 'wrongPart', place: 'plunger/9' },
		'The part at “plunger/9” is not valid: the place is not on the sheet, occurs twice, or has no new part after a removal.'
	],
	[
		{ kind: 'wrongEntry', id: '17', problem: { code: 'otherJob' } },
		'The entry 17 is not valid. Not saved: this entry belongs to another job.'
	],
	[{ kind: 'unknownName', name: '@person/4' }, 'The log names “@person/4”, which is not in the file.'],
	[
		{ kind: 'wrongPhoto', sha256: 'abcdef0123456789' },
		'The photograph abcdef012345… is damaged or has the wrong name.'
	],
	[{ kind: 'entriesTaken' }, 'Some of its entries occur twice, or are already in another job of your shop.'],
	[
		{ kind: 'unworkable' },
		'The file is valid, but part of it cannot be stored or judged. Ask the sender to export it again.'
	]
];

describe('why a job file was not taken in', () => {
	it.each(refused)('$kind', (why, sentence) => {
		expect(importSentence(why, defaultFormat)).toBe(sentence);
	});
	it('does not repeat what a hostile file is full of', () => {
		const long = 'x'.repeat(100_000);
		for (const why of [
			{ kind: 'fault', path: long, message: long },
			{ kind: 'wrongPart', place: long },
			{ kind: 'unknownName', name: long },
			{ kind: 'wrongPhoto', sha256: long }
		] as const)
			expect(importSentence(why, defaultFormat).length).toBeLessThan(400);
	});
});
