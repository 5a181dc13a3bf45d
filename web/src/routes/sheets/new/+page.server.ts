import { fail, redirect } from '@sveltejs/kit';
import { setError, superValidate, type SuperValidated } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import {
	customsOf,
	fittedTo,
	knownNames,
	newSheet,
	withLaidDown,
	withPart,
	withStepsDrafted,
	type NamePlate,
	type NewPart
} from '@exetasis/core/draft';
import { partTypeKeys } from '@exetasis/core/part';
import { MOST_STATIONS } from '@exetasis/core/record';
import { parseQuantity, type Unit } from '@exetasis/core/quantity';
import { runHeavy } from '@exetasis/server/background/heavy';
import { startDraft } from '@exetasis/server/drafts';
import { layoutSheets } from '@exetasis/server/layouts';
import { addSheet, drawnSheet, newestSheets } from '@exetasis/server/sheets';
import { namePlateSchema, type TypedPlate } from '$lib/forms/namePlate';
import { readForm, readUpload } from '$lib/server/form';
import { notationOf, scopeOf, textFrom, userOf } from '$lib/server/request';
import { formatFor, type Format } from '$lib/format/numbers';
import { quantitySentence } from '$lib/words/problems';

export async function load({ locals, url }) {
	const layouts = await layoutSheets();
	const known = [...layouts, ...(await newestSheets(scopeOf(locals)))];
	return {
		form: await superValidate({}, zod4(namePlateSchema), { errors: false }),
		layouts: layouts.map(drawnSheet),
		like: textFrom(url, 'like'),
		names: knownNames(known)
	};
}

const MOST_CYLINDERS = 7;

/** Reads the numbers of a name plate; what cannot be is noted beside its field. */
function plateIn(form: SuperValidated<TypedPlate>, format: Format): NamePlate & { plungerMm?: number } {
	const read = (field: 'cylinders' | 'stroke' | 'pressure' | 'speed' | 'plunger', unit: Unit): number => {
		const parsed = parseQuantity(form.data[field], unit);
		if (parsed.kind === 'quantity' && parsed.base > 0) return parsed.base;
		const problem =
			parsed.kind === 'quantity'
				? 'This must be above 0.'
				: quantitySentence(parsed.problem, format, 'Type a number first.');
		setError(form, field, problem);
		return 1;
	};
	const cylinders = read('cylinders', 'pieces');
	if (!Number.isInteger(cylinders) || cylinders > MOST_CYLINDERS)
		setError(form, 'cylinders', `Type a whole number from 1 to ${MOST_CYLINDERS}.`);
	return {
		model: form.data.model,
		maker: form.data.maker,
		cylinders,
		strokeMm: read('stroke', format.units.length),
		ratedPressureMPa: read('pressure', format.units.pressure),
		ratedSpeedRpm: read('speed', 'rpm'),
		...(form.data.plunger === '' ? {} : { plungerMm: read('plunger', format.units.length) })
	};
}

const listedSchema = z
	.array(
		z.object({
			type: z.enum(partTypeKeys),
			name: z.string().trim().min(1).max(60),
			pieces: z.int().min(1).max(200),
			per: z.enum(['pump', 'cylinder'])
		})
	)
	.max(MOST_STATIONS);

function partsIn(text: string): readonly NewPart[] | undefined {
	try {
		return text === '' ? [] : listedSchema.safeParse(JSON.parse(text)).data;
	} catch {
		return undefined;
	}
}

export const actions = {
	/** Starts a draft: empty, with the parts of a list, or fitted to this pump from a known layout. */
	start: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(namePlateSchema));
		if (!form.valid) return fail(400, { form });
		const user = userOf(locals);
		const { plungerMm, ...plate } = plateIn(
			form,
			formatFor(() => notationOf(locals))
		);
		const layouts = await layoutSheets();
		const layout = layouts.find(({ model }) => model === form.data.layout);
		const parts = partsIn(form.data.parts);
		if (!parts) setError(form, 'parts', `The list cannot be used. Choose at most ${MOST_STATIONS} parts.`);
		if (!form.valid || !parts) return fail(400, { form });
		const customs = customsOf(layouts);
		const body = layout
			? fittedTo(layout, { ...plate, plungerMm })
			: parts.reduce(
					(draft, part) => withPart(draft, draft.stations.length, part, customs[part.type]).draft,
					newSheet(plate)
				);
		const id = await startDraft(scopeOf(locals), user, parts.length > 0 ? withStepsDrafted(body) : body);
		if (!id) return setError(form, 'model', 'Your shop has 200 drafts. Delete some of them first.');
		redirect(303, `/sheets/drafts/${id}`);
	},
	/** Makes a provisional sheet of one part, for a pump that is stripped now. */
	strip: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(namePlateSchema));
		if (!form.valid) return fail(400, { form });
		const { plungerMm: _, ...plate } = plateIn(
			form,
			formatFor(() => notationOf(locals))
		);
		if (!form.valid) return fail(400, { form });
		const first = [{ type: form.data.first }];
		const { draft: body } = withLaidDown(
			{ ...newSheet(plate), provisional: true },
			first,
			customsOf(await layoutSheets())
		);
		const added = await addSheet(scopeOf(locals), JSON.stringify(body));
		if (added.kind !== 'added')
			return setError(form, 'model', 'Your shop has a sheet of this model. Choose it at Receive.');
		redirect(303, `/receive?model=${encodeURIComponent(plate.model)}`);
	},
	/** Reads a parts list and answers its rows. */
	read: async ({ request, locals }) => {
		const { bytes } = await readUpload(request, 'file');
		if (bytes.length === 0) return fail(400, { problem: 'Choose a file first.' });
		const table = await runHeavy(userOf(locals).shopId, 'readRows', bytes);
		if (table.kind === 'unreadable')
			return fail(400, { problem: 'This is no table. Choose a CSV or XLSX file with one part in each row.' });
		return { table };
	}
};
