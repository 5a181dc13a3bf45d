import { afterEach, describe, expect, it, vi } from 'vitest';
import { drawerText, eachOnce, keepDrawer, readDrawer, shimsSchema } from './shimDrawer';

describe('a drawer of shims as it is typed', () => {
	it('is thicknesses with their counts, in either way of writing', () => {
		expect(readDrawer('0.1 × 5; 0,25x2\n1')).toEqual({
			kind: 'drawer',
			shims: [
				{ thicknessMm: 0.1, count: 5 },
				{ thicknessMm: 0.25, count: 2 },
				{ thicknessMm: 1, count: 1 }
			]
		});
		expect(readDrawer(' ;\n')).toEqual({ kind: 'drawer', shims: [] });
	});
	it.each(['thin', '0.1 × two', '0.1 × 1.5', '0.1 × 2 × 3', '−0.1', '25', '0.1 × 1000'])(
		'says that “%s” is none',
		(text) => expect(readDrawer(`0.2 × 1; ${text}`)).toMatchObject({ kind: 'problem', text })
	);
});

describe('the drawer as the shop keeps it', () => {
	afterEach(() => vi.unstubAllGlobals());
	const shims = [
		{ thicknessMm: 0.05, count: 4 },
		{ thicknessMm: 0.25, count: 2 }
	];
	it('is typed as it is read', () => expect(readDrawer(drawerText(shims))).toEqual({ kind: 'drawer', shims }));
	it('names a thickness once', () => {
		expect(eachOnce([...shims, { thicknessMm: 0.25, count: 3 }])).toEqual([shims[0], { thicknessMm: 0.25, count: 5 }]);
		expect(eachOnce([])).toEqual([]);
	});
	it('is refused where it is no drawer', () => {
		for (const wrong of [
			{},
			[{ thicknessMm: 0, count: 1 }],
			[{ thicknessMm: 1, count: 1.5 }],
			Array(41).fill(shims[0])
		])
			expect(shimsSchema.safeParse(wrong).success).toBe(false);
		expect(shimsSchema.safeParse(shims).success).toBe(true);
	});
	it('says whether it reached the server', async () => {
		for (const [answer, kept] of [
			[() => Promise.resolve({ ok: true }), true],
			[() => Promise.resolve({ ok: false }), false],
			[() => Promise.reject(new TypeError('offline')), false]
		] as const) {
			vi.stubGlobal('fetch', answer);
			expect(await keepDrawer(shims)).toBe(kept);
		}
	});
});
