import { tighteningPasses } from '@exetasis/core/build';
import {
	entrySchema,
	piecesInPump,
	placesFilled,
	verdictOn,
	type Answer,
	type Ask,
	type Entry,
	type ModelSheet,
	type Opening,
	type Together
} from '@exetasis/core/record';

type Stamp = () => { id: string; job: string; by: string; at: string };

// What is answered where nothing is amiss.
function answerTo(ask: Ask, sheet: ModelSheet, opening: Opening): Answer['payload']['value'] {
	switch (ask.kind) {
		case 'count':
			return piecesInPump(sheet, ask.station, opening);
		case 'choice':
			return ask.choices[0];
		case 'setting':
			return { value: 6, typed: { text: '6', unit: ask.unit } };
		default:
			return ask.kind === 'tick' ? true : 'As it was';
	}
}

/** The entries by which a technician puts a pump together, as far as `steps` steps of its plan: parts, bolts, answers, sign-offs. */
export function assemble(
	build: Together,
	sheet: ModelSheet,
	opening: Opening,
	stamp: Stamp,
	steps = build.steps.length
): Entry[] {
	return build.steps.slice(0, steps).flatMap((step) => {
		const places = placesFilled(build, step);
		const entries = [
			...places.map((place) => ({
				kind: 'putIn',
				part: place.part,
				payload: { piece: verdictOn(place) === 'replace' ? 'new' : 'same' }
			})),
			...places.flatMap(({ part, station }) =>
				(station.fastening ? tighteningPasses(station.fastening) : []).flatMap(({ order }, pass) =>
					order.map((bolt) => ({ kind: 'tightened', part, payload: { pass, bolt } }))
				)
			),
			...step.asks.flatMap((ask, i) =>
				ask.kind === 'size' || ask.kind === 'photo'
					? []
					: [{ kind: 'answer', payload: { step: step.key, ask: i, value: answerTo(ask, sheet, opening) } }]
			),
			...(step.mirrored
				? []
				: [{ kind: 'step', payload: { step: step.key, ...(step.ways.length > 0 ? { way: step.ways[0].key } : {}) } }])
		];
		return entries.map((entry) => entrySchema.parse({ ...stamp(), ...entry }));
	});
}
