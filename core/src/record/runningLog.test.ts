import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fold } from './fold';
import { RunningLog } from './runningLog';
import type { Entry } from './entry';

const job = '00000000-0000-7000-8000-0000000000aa';
const uuid = (n: number): string => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const parts = [uuid(901), uuid(902)];

const entry = (n: number): fc.Arbitrary<Entry> =>
	fc
		.record({
			minute: fc.integer({ min: 0, max: 9 }),
			part: fc.constantFrom(...parts),
			target: fc.integer({ min: 0, max: 19 })
		})
		.chain(({ minute, part, target }) => {
			const common = { id: uuid(n), job, by: 'ann', at: `2026-03-01T08:0${minute}:00Z` };
			return fc.constantFrom<Entry>(
				{ ...common, kind: 'clean', part, payload: {} },
				{ ...common, kind: 'finding', part, payload: { pattern: 'axialScoring', severity: 2, onset: 'service' } },
				{ ...common, kind: 'step', payload: { step: `s${target % 3}` } },
				{ ...common, kind: 'cylinderDone', payload: { step: 's1', cylinder: 1 + (target % 3) } },
				{ ...common, kind: 'note', payload: { text: 'seen' } },
				{ ...common, kind: 'withdraw', payload: { entry: uuid(target), why: 'undone' } }
			);
		});
const log = fc.tuple(...Array.from({ length: 20 }, (_, n) => entry(n)));

describe('RunningLog', () => {
	it('says what the fold of all its entries says, in whatever order and batches they come', () => {
		fc.assert(
			fc.property(
				log,
				fc.shuffledSubarray([...Array(20).keys()], { minLength: 20 }),
				fc.integer({ min: 1, max: 6 }),
				(entries, order, batch) => {
					const running = new RunningLog();
					const arrived = order.map((i) => entries[i]);
					for (let i = 0; i < arrived.length; i += batch) {
						running.add(arrived.slice(i, i + batch));
						expect(running.state).toEqual(fold(arrived.slice(0, i + batch)));
					}
					expect(running.size).toBe(20);
				}
			)
		);
	});

	it('counts an entry that comes twice once', () => {
		const [first] = fc.sample(entry(1), 1);
		const running = new RunningLog([first, first]);
		running.add([first]);
		expect(running.state).toEqual(fold([first]));
	});

	it('leaves the log that it was copied from as it is', () => {
		const before = new RunningLog();
		const after = before.copy();
		after.add(fc.sample(entry(2), 1));
		expect([before.size, after.size]).toEqual([0, 1]);
		expect(before.state).toEqual(fold([]));
	});
});
