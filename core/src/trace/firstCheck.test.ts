import { describe, expect, it } from 'vitest';
import { demoSheet } from '../decide/testing';
import { firstCheck, startingNetwork, whereToLook } from '.';

const causeOf = (key: string) => startingNetwork.causes.find((cause) => cause.key === key)!;

describe('firstCheck', () => {
	it('is the gauge where a size tells, at the cylinder that is suspected', () =>
		expect(firstCheck(startingNetwork, causeOf('rodOutOfLine'), demoSheet('marram'), 2)).toMatchObject({
			place: 'plunger/2',
			size: 'runout'
		}));
	it('is the mark that the cause brings about most surely where no size tells', () => {
		const cause = {
			links: [
				{ finding: 'plungerHot', strength: 0.4, priorWeight: 4 },
				{ finding: 'plungerScored', strength: 0.7, priorWeight: 4 }
			]
		};
		const check = firstCheck(startingNetwork, cause, demoSheet('marram'), 3);
		expect(check).toMatchObject({ place: 'plunger/3', name: 'Plunger scored lengthwise' });
		expect(check).not.toHaveProperty('size');
	});
	it('is nothing where the pump has no such part, or the network no such finding', () => {
		expect(firstCheck(startingNetwork, causeOf('rodOutOfLine'), { stations: [] }, 1)).toBeUndefined();
		const cause = { links: [{ finding: 'none', strength: 0.5, priorWeight: 4 }] };
		expect(firstCheck(startingNetwork, cause, demoSheet('marram'), 1)).toBeUndefined();
	});
	it('leads to a size only where the sheet measures it', () => {
		const runout = startingNetwork.findings.find(({ key }) => key === 'runout')!;
		const { stations } = demoSheet('marram');
		const without = stations.map((station) => ({
			...station,
			characteristics: station.characteristics.filter(({ key }) => key !== 'runout' && key !== 'play')
		}));
		expect(whereToLook(runout, { stations: without }, 1)).toBeUndefined();
		expect(whereToLook(runout, { stations }, 0)).toEqual({ place: 'plunger/1', size: 'runout' });
	});
});
