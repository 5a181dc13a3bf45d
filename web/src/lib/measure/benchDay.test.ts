import { describe, expect, it } from 'vitest';
import { dayNow, keepBenchDay, readBenchDay } from './benchDay';

function drawer(): Pick<Storage, 'getItem' | 'setItem'> & { holds?: string } {
	return {
		holds: undefined,
		getItem() {
			return this.holds ?? null;
		},
		setItem(_key: string, text: string) {
			this.holds = text;
		}
	};
}

describe('what holds for a bench on one day', () => {
	it('is kept until tomorrow', () => {
		const stored = drawer();
		keepBenchDay(stored, { day: '2026-11-29', gaugeC: 34, zeroSeen: ['g'] });
		expect(readBenchDay(stored, '2026-11-29')).toEqual({ day: '2026-11-29', gaugeC: 34, zeroSeen: ['g'] });
		expect(readBenchDay(stored, '2026-11-30')).toEqual({ day: '2026-11-30', zeroSeen: [] });
	});
	it.each(['', '{', '{"day":"2026-11-29","gaugeC":"hot","zeroSeen":[]}', 'null', '[]'])(
		'starts empty where %s lies there',
		(holds) => expect(readBenchDay({ getItem: () => holds }, '2026-11-29')).toEqual({ day: '2026-11-29', zeroSeen: [] })
	);
	it('goes on where the device keeps nothing', () => {
		const full = {
			setItem: () => {
				throw new DOMException('full', 'QuotaExceededError');
			}
		};
		expect(() => keepBenchDay(full, { day: dayNow(), zeroSeen: [] })).not.toThrow();
	});
	it('names the day by the clock of the device', () => expect(dayNow(new Date(2026, 10, 9, 23))).toBe('2026-11-9'));
});
