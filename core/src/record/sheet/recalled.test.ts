import { describe, expect, it } from 'vitest';
import { demoSheets } from '../../decide/testing';

describe('a setting that was found', () => {
	const settings = demoSheets().flatMap((sheet) =>
		sheet.steps.flatMap(({ key, asks }) =>
			asks.some((ask) => ask.kind === 'setting' && ask.when === 'found') ? [[sheet.model, key, sheet] as const] : []
		)
	);
	it('is there to be found', () => expect(settings.length).toBeGreaterThan(0));
	it.each(settings)('%s, step %s: it is shown at a later step, where it is set again', (_, key, { steps }) => {
		const at = steps.findIndex((step) => step.key === key);
		const again = steps.findIndex(({ recalls }) => recalls.includes(key));
		expect(again).toBeGreaterThan(at);
	});
});
