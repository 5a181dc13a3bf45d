import { describe, expect, it } from 'vitest';
import { defaultPolicy, forecastOf, judge, type Forecast } from '.';
import { clean, demoSheet, finding, inputFor, ran, read, recordOf, stationOn } from './testing';

const marram = demoSheet('marram');
const life = ran(stationOn(marram, 'plunger'), 1500);
const worn = recordOf(clean(), read('diameter', 17.98, 0, 0), read('diameter', 17.975, 0, 1));
const inputOf = (record = worn, change = {}) => inputFor(marram, 'plunger', record, { life, ...change });
const asData = (forecast: Forecast | undefined) => structuredClone(forecast)!;

describe('a forecast worked out elsewhere', () => {
	it('gives the very judgement that it would be without', () => {
		const forecast = asData(forecastOf(inputOf()));
		expect(judge({ ...inputOf(), forecast })).toEqual(judge(inputOf()));
		expect(Object.keys(forecast.outlook)).toEqual(['diameter']);
	});
	it('is used, and stays with findings that change nothing of the sizes', () => {
		const forecast = asData(forecastOf(inputOf()));
		const said = { ...forecast, other: { ...forecast.other, risk: { probability: 0.77, low: 0.7, high: 0.8 } } };
		const record = { ...worn, findings: recordOf(finding('wearBand')).findings };
		expect(judge({ ...inputOf(record), forecast: said }).other.risk.probability).toBe(0.77);
	});
	it('is worked out again for one reading more, and for another interval', () => {
		const forecast = asData(forecastOf(inputOf()));
		const more = inputOf({ ...worn, readings: [...worn.readings, read('diameter', 17.955, 1, 0)] } as typeof worn);
		expect(judge({ ...more, forecast })).toEqual(judge(more));
		const longer = inputOf(worn, { policy: { ...defaultPolicy, intervalHours: 5000 } });
		const { outlook } = judge({ ...longer, forecast });
		expect(outlook.diameter.risk.probability).toBeGreaterThan(forecast.outlook.diameter.risk.probability);
	});
	it('is not given of what cannot be worked with', () =>
		expect(forecastOf(inputOf(worn, { asFitted: { diameter: 17.95 } }))).toBeUndefined());
	it('says the chance with what open parameters leave of it', () => {
		const { probability, low, high } = forecastOf(inputOf())!.outlook.diameter.risk;
		expect(low).toBeLessThan(probability);
		expect(high).toBeGreaterThan(probability);
	});
});
