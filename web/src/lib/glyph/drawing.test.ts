// Which way each part is drawn, against where its sheet says that its lip, groove, flat or bore points.
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { partTypeKeys } from '@exetasis/core/part';
import { readSheet, type ModelSheet } from '@exetasis/core/record';
import { drawingOf } from './drawing';

const sheetOf = (model: string): ModelSheet => {
	const text = readFileSync(new URL(`../../../../demo/sheets/${model}.json`, import.meta.url), 'utf8');
	return (readSheet(text) as { sheet: ModelSheet }).sheet;
};
const drawn = (model: string, key: string) => {
	const { type, face } = sheetOf(model).stations.find((station) => station.key === key)!;
	return drawingOf(type, face);
};
// Middle of an outline's points, left to right in its box.
const middle = (d: string) => {
	const xs = [...d.matchAll(/[ML]?(-?\d+(?:\.\d+)?)[ ,](-?\d+(?:\.\d+)?)/g)].map(([, x]) => Number(x));
	return xs.reduce((sum, x) => sum + x, 0) / xs.length;
};

describe('drawingOf', () => {
	// By hand: the lips of a seal open to the pressure; its metal back, where that is what the sheet names, is the other end.
	it.each([
		['marram', 'femaleAdapter', false],
		['marram', 'packing', false],
		['marram', 'slinger', false],
		['fescue', 'highPressureSeal', false], // hollow to P
		['campion', 'highPressureSeal', false], // metal back to C: its lips look to P
		['campion', 'plunger', true], // deeper bore to P; drawn at the right end
		['campion', 'inletValve', true], // flat side to C; drawn at the left
		['marram', 'manifold', false], // joint face to C; its bores are drawn at the right end
		['thrift', 'dischargeManifold', false],
		['bracken', 'manifold', false],
		['marram', 'plunger', true], // the end that fits the retainer to P; drawn at the right
		['marram', 'plungerRetainer', false], // its shank to the plunger, which lies on the crank side
		['bulrush', 'plungerRetainer', false],
		['larch', 'femaleAdapter', false], // flat to C: its groove looks to P
		['larch', 'maleAdapter', true], // its V to C
		['fescue', 'supportRing', true], // flat to P
		['heather', 'frontGuide', true], // smaller side to P; drawn at the right
		['thrift', 'sleeve', false], // counterbore to C, where it is drawn
		['thrift', 'piston', true],
		['thrift', 'conicalWasher', true], // its hollow to C; drawn to the left
		['campion', 'conicalWasher', true],
		['campion', 'springRetainer', true], // its stem to P; drawn to the right
		// Against its mate: the taper of a seat is drawn to the right, and so is the cone of a poppet.
		['campion', 'dischargeSeat', true], // its valve lies on the pressure side
		['nettle', 'inletSeat', true],
		['nettle', 'inletPoppet', false], // its seat lies on the crank side
		['bracken', 'outletSeat', true],
		['bracken', 'outletValve', false],
		['comfrey', 'outletSeat', true], // inlet and outlet valve of this head face opposite ways
		['comfrey', 'inletSeat', false],
		['marram', 'inletSeat', false],
		['marram', 'dischargeSeat', true]
	])('%s, %s: mirrored %s', (model, key, mirrored) => expect(drawn(model, key).mirrored).toBe(mirrored));
	it('draws the end that the sheet names: a V is no groove', () => {
		const [male, female] = [drawn('larch', 'maleAdapter'), drawn('larch', 'femaleAdapter')];
		expect(male.outlines).not.toEqual(female.outlines);
		expect(drawn('marram', 'maleAdapter').outlines).not.toEqual(drawn('marram', 'femaleAdapter').outlines);
		expect(drawn('juniper', 'intermediateRing').outlines).not.toEqual(female.outlines);
	});
	it('has its garter spring, where one is, at the end where its lips are', () => {
		const { outlines } = drawingOf('lipSeal', { toward: 'P', feature: 'spring' });
		const [garter, all] = [outlines.find(({ hatch }) => hatch === 'garter')!, outlines[0]];
		expect(middle(garter.d)).toBeLessThan(middle(all.d));
	});
	it('turns every part over that faces the other way, and none that faces neither', () => {
		for (const type of partTypeKeys)
			for (const feature of [undefined, 'groove', 'flat', 'cone', 'counterbore', 'step'] as const) {
				const [toP, toC] = (['P', 'C'] as const).map((toward) => drawingOf(type, { toward, feature }));
				expect(toP.mirrored).not.toBe(toC.mirrored);
				expect(toP.outlines).toBe(toC.outlines);
				expect(drawingOf(type, { toward: 'either', feature }).mirrored).toBe(false);
			}
	});
});
