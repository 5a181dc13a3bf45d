import { inSentence } from './place';
import type { Ask, BuildStep, ModelSheet, Step } from '@exetasis/core/record';
import { unitLabel } from '@exetasis/core/quantity';

const nameOf = (sheet: Pick<ModelSheet, 'stations'>, key: string): string => {
	const station = sheet.stations.find((one) => one.key === key);
	return station ? inSentence(station.name) : key;
};

/** What a step wants to be answered, as one says it. */
export function askWords(ask: Ask, sheet: Pick<ModelSheet, 'stations'>): string {
	switch (ask.kind) {
		case 'count':
			return `Count: ${nameOf(sheet, ask.station)}`;
		case 'size':
			return `Measure: ${nameOf(sheet, ask.station)}`;
		case 'setting':
			return `Note the setting, ${ask.name}, in ${unitLabel(ask.unit)}, as it is ${ask.when}`;
		case 'choice':
			return `${ask.text}: ${ask.choices.map(({ text }) => text).join(', ')}?`;
		case 'photo':
			return `Photograph: ${ask.text}`;
		case 'note':
			return `Note: ${ask.text}`;
		case 'tick':
			return `See that: ${ask.text}`;
	}
}

/** What a build step does: what the sheet says, the sub-assembly that is joined, or the part that goes back as it came off. */
export const buildStepName = ({ text, mirrored, joined }: Pick<BuildStep, 'text' | 'mirrored' | 'joined'>): string => {
	if (!mirrored) return text;
	return joined ? `Join on the bench: ${inSentence(text)}` : `Put back: ${inSentence(text)}`;
};

/** Where the crank has to stand, turned by hand. */
export function crankWords({ stand, cylinder }: NonNullable<Step['crank']>): string {
	if (stand === 'outerLevel') return 'turned by hand until the two outer plungers are equally far out';
	const which =
		cylinder === 'each'
			? 'each plunger in turn'
			: cylinder === 'outer'
				? 'the outer plungers'
				: `the plunger of cylinder ${cylinder}`;
	return `turned by hand until ${which} stands full ${stand}`;
}
