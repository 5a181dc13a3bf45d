import { expect, it } from 'vitest';
import { dueWords } from './due';

it.each([
	['2026-03-01', { due: true, says: '1 day late' }],
	['2026-02-20', { due: true, says: '10 days late' }],
	['2026-03-02', { due: true, says: 'today' }],
	['2026-03-03', { due: true, says: 'in 1 day' }],
	['2026-03-09', { due: false, says: 'in 7 days' }]
])('says how near %s is', (promised, says) => expect(dueWords(promised, new Date(2026, 2, 2, 23, 50))).toEqual(says));
