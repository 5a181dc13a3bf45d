// A demo sheet built from nothing in the builder, by touch: what comes out says what ours says, but for texts.
import { readFileSync } from 'node:fs';
import { expect, test } from './test';
import { partType } from '../core/src/part';
import { readSheet, sheetDraftSchema, stationSchema, stepSchema, type ModelSheet } from '../core/src/record';
import { offersFor } from '../web/src/lib/builder/fields/references';
import { chosenOf, shapeOf, type Group, type Shape } from '../web/src/lib/builder/fields/shape';
import { renewalName, stageName } from '../web/src/lib/words/draft';
import { pageOf } from './people';
import { SheetTyper, choose, escaped, type, type Fields } from './sheetByTouch';

const read = readSheet(readFileSync(new URL('../demo/sheets/marram.json', import.meta.url), 'utf8'));
if (read.kind !== 'sheet') throw new Error('the demo sheet has faults');
const ours = read.sheet;

const fieldsOf = (schema: Parameters<typeof shapeOf>[0]) => (shapeOf(schema) as Group).fields;
const fieldOf = (schema: Parameters<typeof shapeOf>[0], name: string) =>
	fieldsOf(schema).find((field) => field.name === name)!;

// Texts left out, and keys by their places.
function meaning(sheet: ModelSheet): unknown {
	const of = (shape: Shape, value: unknown, name: string): unknown => {
		switch (shape.kind) {
			case 'text':
				return 'a text';
			case 'key': {
				const place = offersFor(name, sheet)?.findIndex(([key]) => key === value) ?? -1;
				return place < 0 ? value : place;
			}
			case 'list':
				return (value as unknown[]).map((item) => of(shape.of, item, name));
			case 'either':
				return of(chosenOf(shape.of, value).shape, value, name);
			case 'group': {
				const group = value as Fields;
				const stated = shape.fields.filter((field) => group[field.name] !== undefined);
				return Object.fromEntries(stated.map((other) => [other.name, of(other.shape, group[other.name], other.name)]));
			}
			default:
				return value;
		}
	};
	const whole = Object.entries(of(shapeOf(sheetDraftSchema), sheet, '') as Fields);
	return Object.fromEntries(whole.filter(([name]) => !ORIGIN.includes(name)));
}

test('a sheet is built from nothing by touch, every statement of it', async ({ browser }) => {
	test.setTimeout(1_200_000);
	const page = await pageOf(browser, 'lead');
	page.setDefaultTimeout(30_000);
	const typer = new SheetTyper(ours, page);
	const main = page.getByRole('main');
	const view = (name: string) => page.getByRole('radiogroup', { name: 'View' }).getByText(name).click();

	await page.goto('/sheets/new');
	await type(main, 'Model', `Marram ${Date.now()}`);
	await type(main, 'Maker', ours.maker);
	await type(main, 'Cylinders', String(ours.cylinders));
	await type(main, 'Stroke', String(ours.strokeMm));
	await type(main, 'Rated pressure', String(ours.ratedPressureMPa * BAR));
	await type(main, 'Rated speed', String(ours.ratedSpeedRpm));
	await page.getByText('Empty', { exact: true }).click();
	await page.getByRole('button', { name: 'Begin sheet' }).click();
	await expect(page.getByText('No parts yet.')).toBeVisible();

	// The pump: assemblies and scopes, then what parts and steps refer to.
	await view('Pump');
	await type(main, 'Cost of opening it once more', String(ours.openingCost));
	await type(main, 'Where cylinder 1 is', ours.cylinderOne!.text);
	await choose(main, 'Seen from the pressure side, at the', ours.cylinderOne!.side);
	await type(main, 'Test pressure', `${ours.proof!.pressureMPa} MPa`);
	await type(main, 'Held for', String(ours.proof!.minutes));
	await type(main, 'May fall by', `${ours.proof!.mostFallMPa} MPa`);
	await type(main, 'Watch for drips at', ours.proof!.places.join(', '));
	for (const { name } of ours.assemblies.slice(2)) await type(main, 'Add assembly', name);
	for (const { name } of ours.scopes.slice(1)) await type(main, 'Add scope', name);
	const state = (name: keyof ModelSheet) => typer.more(main, fieldOf(sheetDraftSchema, name), ours[name] as never);
	for (const name of ['assemblies', 'scopes', 'crank', 'tools', 'products', 'unit', 'duty'] as const) await state(name);

	// The parts by their types, then everything about each of them.
	await view('Parts');
	const palette = page.getByRole('region', { name: 'Add part' });
	const form = page.getByRole('region', { name: 'Part in hand' });
	for (const station of ours.stations) {
		await palette
			.getByRole('button', { name: partType(station.type).name })
			.first()
			.click();
		await type(form, 'Name', station.name);
	}
	const parts = page.getByRole('region', { name: 'Section through one cylinder' });
	const press = async (group: ReturnType<typeof page.getByRole>, name: string, on: boolean) => {
		const toggle = group.getByRole('button', { name: new RegExp(`^(\\d+ )?${escaped(name)}$`) }).first();
		if (((await toggle.getAttribute('aria-pressed')) === 'true') !== on) await toggle.click();
	};
	for (const station of ours.stations) {
		await parts
			.getByRole('button', { name: new RegExp(`^\\d+\\. ${escaped(station.name)}(,|$)`) })
			.first()
			.click();
		typer.part = station.type;
		await type(form, 'Short name', station.short);
		await choose(form, 'Assembly', typer.nameOf('in', station.in));
		await choose(form, 'How many places', station.per === 'pump' ? 'One in the pump' : 'One per cylinder');
		await choose(form, 'Renewal', renewalName[station.renewal]);
		await type(form, 'Inspect for', station.lookFor ?? '');
		await type(form, 'How it is fitted', station.fit ?? '');
		await type(form, 'Part number', station.number ?? '');
		await type(form, 'Price', String(station.price));
		await type(form, 'Delivery', station.deliveryDays === undefined ? '' : String(station.deliveryDays));
		for (const { key, name } of ours.scopes) await press(form, name, station.scopes.includes(key));
		for (const size of station.characteristics) {
			const known = partType(station.type).characteristics.find(({ key }) => key === size.key)!;
			await form.getByRole('button', { name: `+ ${known.name}`, exact: true }).click();
			await type(form, 'Size of a new part', `${size.nominal} ${size.unit}`);
		}
		for (const name of PART) await typer.more(form, fieldOf(stationSchema, name), station[name] as never);
		await type(form, 'Pieces at a place', String(station.pieces));
		await typer.more(form, fieldOf(stationSchema, 'inferred'), station.inferred);
	}

	await view('Pump');
	for (const name of ['subAssemblies', 'kits', 'lookAlikes'] as const) await state(name);

	await view('Steps');
	const steps = page.getByRole('list', { name: 'Steps in their order' }).getByRole('listitem');
	const step = page.getByRole('region', { name: 'Step in hand' });
	for (const [i, wanted] of ours.steps.entries()) {
		if (i < 2) {
			await steps.nth(i).getByRole('button').first().click();
			await type(step, 'What is done', wanted.text);
		} else {
			await choose(main, 'Stage', stageName[wanted.stage]);
			await type(main, 'New step: what is done', wanted.text);
			await choose(step, 'Signed off', wanted.per === 'pump' ? 'once' : 'at every cylinder');
			for (const key of wanted.stations)
				await press(step.getByRole('group', { name: 'Parts of the step' }), typer.nameOf('stations', key), true);
			for (const { key, name } of ours.scopes) await press(step, name, wanted.scopes.includes(key));
			await step.getByText(/^Must be signed off before/).click();
			for (const key of wanted.after) await press(step, typer.nameOf('after', key), true);
		}
		for (const name of STEP) await typer.more(step, fieldOf(stepSchema, name), wanted[name] as never);
	}
	await view('Pump');
	await state('order');

	await view('Check');
	await page.getByRole('button', { name: 'Save revision 1' }).click();
	let text = '';
	// A press before the page lives gives nothing.
	await expect(async () => {
		const saved = page.waitForEvent('download', { timeout: 2000 });
		await page.getByRole('button', { name: 'Save as file' }).click();
		text = readFileSync(await (await saved).path(), 'utf8');
	}).toPass();
	const built = readSheet(text);
	expect(built.kind).toBe('sheet');
	if (built.kind === 'sheet') expect(meaning(built.sheet)).toEqual(meaning(ours));
});

/** What only says where a sheet comes from. */
const ORIGIN = ['format', 'version', 'layout', 'revision', 'demo'];
const BAR = 10; // in 1 MPa
const PART = [
	'alsoCalled',
	'side',
	'face',
	'tools',
	'products',
	'cautions',
	'characteristics',
	'design',
	'surface',
	'abrasive',
	'fastening',
	'mates',
	'gates',
	'spoils',
	'collateral'
] as const;
const STEP = ['sure', 'walk', 'tools', 'cautions', 'asks', 'ways', 'lays', 'crank'] as const;
