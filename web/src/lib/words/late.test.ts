import { describe, expect, it } from 'vitest';
import { lateWords } from './late';
import { defaultFormat } from '../format/numbers';

describe('work that arrived late', () => {
	const work = {
		by: 'ines',
		entries: 14,
		steps: ['isolate', 'release'],
		from: new Date(2026, 2, 1, 10, 2),
		to: new Date(2026, 2, 1, 10, 40),
		arrivedAt: new Date(2026, 2, 1, 11, 0)
	};
	it('says how much was recorded when, what was signed off, and when it arrived', () => {
		expect(lateWords(work, defaultFormat)).toMatch(
			/^14 entries from .*10:02.* to .*10:40.*, including 2 signed-off steps, arrived .*11:00/
		);
		expect(lateWords({ ...work, entries: 1, steps: [], to: work.from }, defaultFormat)).toMatch(
			/^1 entry from .*10:02.*, arrived/
		);
	});
});
