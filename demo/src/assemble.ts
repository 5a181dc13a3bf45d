import { tighteningPasses } from '@exetasis/core/build';
import {
	entrySchema,
	askedAt,
	fastenersAt,
	itemsOf,
	openedCylinders,
	partsOf,
	piecesInPump,
	verdictOn,
	type Answer,
	type Ask,
	type BuildPlace,
	type Entry,
	type ModelSheet,
	type Opening,
	type Together
} from '@exetasis/core/record';

import { evenReadings, harmless } from './inspect';

interface Made {
	readonly kind: string;
	readonly part?: string;
	readonly payload: object;
}
type Stamp = () => { id: string; job: string; by: string; at: string };

// What is answered where nothing is amiss.
function answerTo(ask: Ask, sheet: ModelSheet, opening: Opening): Answer['payload']['value'] {
	switch (ask.kind) {
		case 'count':
			return piecesInPump(sheet, ask.station, opening);
		case 'choice':
			return harmless(ask);
		case 'setting':
			return { value: 6, typed: { text: '6', unit: ask.unit } };
		case 'readings':
			return evenReadings(ask, openedCylinders(sheet, opening));
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
		const items = itemsOf(build, step);
		const tightenedHere = fastenersAt(build, step);
		const own = (part: string) => tightenedHere.filter((place) => place.part === part);
		const entries = [
			...items.flatMap((item): Made[] => {
				if (item.kind === 'part') {
					const { part } = item.place;
					const piece = verdictOn(item.place) === 'replace' ? 'new' : 'same';
					return [{ kind: 'putIn', part, payload: { piece } }, ...own(part).flatMap(tightened)];
				}
				const { unit, cylinder } = item.place;
				const within = partsOf(build, item.place).flatMap(({ part }) => own(part));
				return [{ kind: 'unitIn', payload: { unit: unit.key, cylinder } }, ...within.flatMap(tightened)];
			}),
			...step.asks.flatMap((ask, i) =>
				ask.kind === 'size' || ask.kind === 'photo'
					? []
					: askedAt(ask, openedCylinders(sheet, opening)).map((at): Made => ({
							kind: 'answer',
							payload: { step: step.key, ask: i, value: answerTo(ask, sheet, opening), ...(at ? { cylinder: at } : {}) }
						}))
			),
			...(step.mirrored
				? []
				: [{ kind: 'step', payload: { step: step.key, ...(step.ways.length > 0 ? { way: step.ways[0].key } : {}) } }])
		];
		return entries.map((entry) => entrySchema.parse({ ...stamp(), ...entry }));
	});
}

const tightened = ({ part, station }: BuildPlace): Made[] =>
	(station.fastening ? tighteningPasses(station.fastening) : []).flatMap(({ order }, pass) =>
		order.map((bolt) => ({ kind: 'tightened', part, payload: { pass, bolt } }))
	);
