// Types a model sheet into the builder, statement by statement, by the labels that a person reads.
import type { Locator, Page } from '@playwright/test';
import { partType, type PartTypeKey } from '../core/src/part';
import type { ModelSheet } from '../core/src/record';
import { unitLabel } from '../core/src/quantity';
import { offersFor } from '../web/src/lib/builder/fields/references';
import { chosenOf, type NamedShape, type Shape } from '../web/src/lib/builder/fields/shape';
import { fieldLabel, fieldUnit, valueLabel } from '../web/src/lib/words/sheetFields';

type Json = null | boolean | number | string | Json[] | { [name: string]: Json };
export type Fields = { [name: string]: Json | undefined };

export const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const named = (root: Locator, label: string) => root.getByLabel(label, { exact: true }).first();
const button = (root: Locator, name: string) => root.getByRole('button', { name, exact: true }).first();

/** Types into the field of this label, which may be followed by a unit; what stands there already is left. */
export async function type(root: Locator, label: string, text: string) {
	const said = { name: new RegExp(`^${escaped(label)}(,|\\s|$)`) };
	// Found once: on a large sheet each search by role takes longer than the typing.
	const field = (await root.getByRole('textbox', said).or(root.getByRole('combobox', said)).first().elementHandle())!;
	const there = await field.inputValue();
	if (there === text || (text !== '' && there !== '' && Number(there) === Number.parseFloat(text))) return;
	await field.fill(text);
	await field.evaluate((input) => (input as HTMLElement).blur());
}
export async function choose(root: Locator, label: string, words: string) {
	const list = (await named(root, label).elementHandle())!;
	const there = await list.evaluate((select) => (select as HTMLSelectElement).selectedOptions[0]?.label);
	if (there !== words) await list.selectOption({ label: words });
}

export class SheetTyper {
	constructor(
		readonly sheet: ModelSheet,
		readonly page: Page
	) {}

	/** Type of the part in hand. */
	part: PartTypeKey | undefined;

	/** What a key is called on the screen, where a statement of this name refers to it. */
	nameOf = (name: string, key: string): string =>
		offersFor(name, this.sheet)?.find(([offered]) => offered === key)?.[1] ?? key;

	/** Opens the folded statement and makes it say this. */
	async more(root: Locator, field: NamedShape, value: Json | undefined) {
		if (['list', 'group', 'either', 'figures'].includes(field.shape.kind)) {
			const summary = root.getByText(new RegExp(`^${escaped(fieldLabel(field.name, field.within))}( \\(.*\\))?$`));
			// Nothing is to be said, and nothing is.
			const isNothing = value === undefined || Object.keys(value as object).length === 0;
			if (isNothing && !/\(\d+\)$/.test(await summary.innerText())) return;
			await summary.click();
			// The fields are drawn after the fold has opened; counted before, they would be none.
			await summary.locator('xpath=following-sibling::*').first().waitFor();
		}
		await this.state(root, field, value, { isNew: false });
	}

	/** Makes one statement say this. What was just added says what its shape says before anything is typed. */
	async state(
		root: Locator,
		{ name, within, shape, optional, fallback }: NamedShape,
		value: Json | undefined,
		{ isNew, unit }: { readonly isNew: boolean; readonly unit?: string }
	): Promise<void> {
		const label = fieldLabel(name, within);
		if (isNew && (value === undefined || JSON.stringify(value) === JSON.stringify(fallback))) return;
		const inside = root.getByRole('group', { name: label, exact: true }).first();
		switch (shape.kind) {
			case 'text':
				return type(root, label, (value as string | undefined) ?? '');
			case 'number': {
				const written = fieldUnit(name);
				const mark = unit && SIZES.includes(name) ? unit : unitLabel(written.unit);
				const text = value === undefined ? '' : `${value as number} ${mark}`.trim();
				return type(root, label, text);
			}
			case 'flag': {
				const flag = (await button(root, label).elementHandle())!;
				if (((await flag.getAttribute('aria-pressed')) === 'true') !== (value === true)) await flag.click();
				return;
			}
			case 'choice': {
				if (shape.values.length === 1) return;
				const words = value === undefined ? 'not stated' : valueLabel(name, value as string);
				await choose(root, label, words);
				return;
			}
			case 'key':
				await choose(root, label, value === undefined ? 'not stated' : this.nameOf(name, value as string));
				return;
			case 'figures':
				for (const [key, figure] of Object.entries((value ?? {}) as Record<string, number>))
					await this.#figure(root, key, figure);
				return;
			case 'list': {
				if (optional && value !== undefined && (await inside.count()) === 0) await button(root, `+ ${label}`).click();
				return this.#list(inside, { name, within }, shape.of, (value ?? []) as Json[], unit);
			}
			case 'either': {
				if (optional && isNew) await button(root, `+ ${label}`).click();
				return this.#either(root, { name, within }, shape.of, value!, unit);
			}
			case 'group': {
				if (optional) {
					const isThere = (await inside.count()) > 0;
					if (value === undefined) {
						if (isThere) await button(inside, 'Delete').click();
						return;
					}
					if (!isThere) {
						await button(root, `+ ${label}`).click();
						isNew = true;
					}
				}
				return this.#group(inside, shape.fields, value as Fields, { isNew, unit });
			}
		}
	}

	async #group(
		root: Locator,
		fields: readonly NamedShape[],
		value: Fields,
		{ isNew, unit }: { readonly isNew: boolean; readonly unit?: string }
	) {
		for (const field of fields)
			await this.state(root, field, value[field.name] ?? undefined, {
				isNew,
				unit: (value.unit as string | undefined) ?? unit
			});
	}

	async #figure(root: Locator, key: string, figure: number) {
		const { name, unit } = (partType(this.part!).design ?? []).find((designValue) => designValue.key === key)!;
		const text = unit === 'share' ? `${100 * figure} %` : `${figure} ${unitLabel(unit)}`;
		await type(root, name, text.trim());
	}

	async #list(root: Locator, { name, within }: Named, of: Shape, items: readonly Json[], unit?: string) {
		const label = fieldLabel(name, within);
		if (of.kind === 'key' || of.kind === 'choice') {
			for (let there = await root.getByRole('button', { name: /^Remove / }).count(); there > 0; there--)
				await root
					.getByRole('button', { name: /^Remove / })
					.first()
					.click();
			for (const item of items) {
				const words = of.kind === 'choice' ? valueLabel(name, item as string) : this.nameOf(name, item as string);
				await choose(root, `Add to: ${label.toLowerCase()}`, words);
			}
			return;
		}
		// Some are begun elsewhere; other lists are typed from nothing.
		const isNew = !BEGUN.includes(name);
		if (isNew) {
			const first = root.getByRole('button', { name: `Delete ${label} 1`, exact: true });
			while ((await first.count()) > 0) await first.first().click();
		}
		for (const [i, stated] of items.entries()) {
			if (isNew) await button(root, `+ ${label}`).last().click();
			const item = root.getByRole('group', { name: `${label} ${i + 1}`, exact: true }).first();
			if (of.kind === 'either') await this.#either(item, { name, within }, of.of, stated, unit);
			else if (of.kind === 'group') await this.#group(item, of.fields, stated as Fields, { isNew, unit });
			else await this.state(item, { name, within, shape: of, optional: false }, stated, { isNew, unit });
		}
	}

	async #either(root: Locator, { name, within }: Named, of: readonly Shape[], value: Json, unit?: string) {
		const chosen = chosenOf(of, value);
		await choose(root, fieldLabel(name, within), valueLabel(name, chosen.name));
		if (chosen.shape.kind === 'choice') return;
		const shape = chosen.shape;
		if (shape.kind === 'group') {
			const inside = root.getByRole('group', { name: fieldLabel(name, within), exact: true }).first();
			return this.#group(inside, shape.fields, value as Fields, { isNew: true, unit });
		}
		return this.state(root, { name, within, shape, optional: false }, value, { isNew: false, unit });
	}
}
type Named = Pick<NamedShape, 'name' | 'within'>;
const BEGUN = ['characteristics', 'assemblies', 'scopes'];
const SIZES = ['nominal', 'min', 'max', 'tolerance', 'stopsAt', 'per1000h', 'difference'];
