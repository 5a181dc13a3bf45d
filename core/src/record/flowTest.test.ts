import { describe, expect, it } from 'vitest';
import { demoSheet } from '../decide/testing';
import { flowDriveOf, flowOn, riseOn } from './flowTest';
import type { Proofs } from './proved';

const sheet = demoSheet('marram');
const typed = { text: '1', unit: 'Lmin' };
const test = (flowLmin: number, speedRpm = 900): Pick<Proofs, 'flow'> => ({
	flow: { test: 'flow', flow: { value: flowLmin, typed }, pressure: { value: 10, typed }, speedRpm } as Proofs['flow']
});
const displaced = (rpm: number) => {
	const { boreMm, strokeMm, phasesDeg } = flowDriveOf(sheet)!;
	return (phasesDeg.length * Math.PI * boreMm ** 2 * strokeMm * rpm) / 4e6;
};

describe('a flow test', () => {
	it('says what share of the displaced volume comes, as a jug and a timer know it', () => {
		const { efficiency, tooMuch, riseDueK } = flowOn(sheet, test(0.92 * displaced(900)))!;
		expect(efficiency.value).toBeCloseTo(0.92, 9);
		expect(efficiency.u / efficiency.value).toBeCloseTo(Math.hypot(0.02, 0.005, 0.02 / flowDriveOf(sheet)!.boreMm), 9);
		expect(tooMuch).toBe(false);
		expect(riseDueK).toBeCloseTo((1e7 * (1 / 0.92 - 1)) / (998 * 4182), 9);
	});
	it('says so where more comes than can be displaced, and then expects no warming', () => {
		const { tooMuch, riseDueK } = flowOn(sheet, test(1.2 * displaced(900)))!;
		expect(tooMuch).toBe(true);
		expect(riseDueK).toBe(0);
		expect(flowOn(sheet, test(1.02 * displaced(900)))!.tooMuch).toBe(false);
	});
	it('says nothing of warming where hardly anything flows, and nothing at all without a flow or a crank', () => {
		expect(flowOn(sheet, test(0.001 * displaced(900)))).not.toHaveProperty('riseDueK');
		expect(flowOn(sheet, test(0))).toBeUndefined();
		expect(flowOn(sheet, {})).toBeUndefined();
		const { crank: _, ...without } = sheet;
		expect(flowOn(without, test(10))).toBeUndefined();
	});
	it('takes the sleeve or the cylinder for the bore where there is no plunger', () => {
		const stations = sheet.stations.filter(({ type }) => type !== 'plunger' && type !== 'piston');
		expect(flowDriveOf({ ...sheet, stations })).toBeUndefined();
		const comfrey = demoSheet('thrift');
		expect(flowDriveOf(comfrey)?.boreMm).toBeGreaterThan(10);
	});
	it('is warmer by what its thermometers say', () => {
		const temperature = {
			test: 'temperature',
			inlet: { value: 18, typed },
			outlet: { value: 21.5, typed }
		} as Proofs['temperature'];
		expect(riseOn({ temperature })).toBeCloseTo(3.5, 12);
		expect(riseOn({})).toBeUndefined();
	});
});
