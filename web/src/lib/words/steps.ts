import { inSentence } from './place';
import type { Answer, Ask, BuildStep, ModelSheet, PowerSaid, Step } from '@exetasis/core/record';
import { unitLabel, type Unit } from '@exetasis/core/quantity';

const nameOf = (sheet: Pick<ModelSheet, 'stations'>, key: string): string => {
	const station = sheet.stations.find((candidate) => candidate.key === key);
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
			return `Record the setting: ${ask.name} (${unitLabel(ask.unit)}), as ${ask.when}`;
		case 'readings':
			return `Measure: ${ask.text} (${unitLabel(ask.unit)})`;
		case 'choice':
			return `${ask.text}: ${ask.choices.map(({ text }) => text).join(', ')}?`;
		case 'photo':
			return `Photograph: ${ask.text}`;
		case 'note':
			return `Note: ${ask.text}`;
		case 'tick':
			return `Check: ${ask.text}`;
	}
}

/** A tool that does instead of the right one, and what it can do wrong. */
export const insteadWords = ({ name, risk }: { readonly name: string; readonly risk: string }): string =>
	`Instead: ${inSentence(name)}. Risk: ${inSentence(risk)}.`;

/** What a sign-off says besides, where it answers the last question of its step. */
export const signingWords = (ask: Ask, due: number): string =>
	ask.kind === 'count' ? `all ${due} counted` : ask.kind === 'tick' ? `“${ask.text}” checked` : '';

/** What an earlier step asked, as the head of what was answered. */
export function recalledWords(ask: Ask, sheet: Pick<ModelSheet, 'stations'>): string {
	switch (ask.kind) {
		case 'count':
		case 'size':
			return nameOf(sheet, ask.station);
		case 'setting':
			return `${ask.name}, as ${ask.when}`;
		default:
			return ask.text;
	}
}

/** What a build step does: what the sheet says, the sub-assembly that is joined, or the part that goes back as it came off. */
export const buildStepName = ({ text, mirrored, joined }: Pick<BuildStep, 'text' | 'mirrored' | 'joined'>): string => {
	if (!mirrored) return text;
	return joined ? `Join on the bench: ${inSentence(text)}` : `Put back: ${inSentence(text)}`;
};

/** Said at a step that was taken over from another model, or is the strip in reverse. */
export const deducedStep = 'This step is deduced. The maker does not state it.';

/** Where the crank has to stand, turned by hand. */
export function crankWords({ stand, cylinder }: NonNullable<Step['crank']>): string {
	if (stand === 'outerLevel') return 'turned by hand until the two outer plungers stick out equally far';
	const which =
		cylinder === 'each'
			? 'each plunger in turn'
			: cylinder === 'outer'
				? 'the outer plungers'
				: `the plunger of cylinder ${cylinder}`;
	return `turned by hand until ${which} is fully ${stand}`;
}

/** Whether a power tool may turn a fastener, and who says so. */
export function powerWords({ may, by, why }: PowerSaid, going: 'out' | 'in'): string {
	if (may)
		return going === 'out' ? 'power tool allowed to loosen' : 'power tool allowed to run in; finish with the wrench';
	const forbidden = `by hand, no power tool (${by === 'sheet' ? 'sheet' : 'shop rule'})`;
	return why ? `${forbidden}. ${why}` : forbidden;
}

/** An answer that was measured, as it was typed. */
export function answerWords(value: Answer['payload']['value']): string {
	const said = ({ typed: { text, unit } }: { typed: { text: string; unit: Unit } }) =>
		/[a-z]/i.test(text) ? text : `${text} ${unitLabel(unit)}`;
	if (typeof value !== 'object') return String(value);
	return 'readings' in value ? value.readings.map(said).join(', ') : said(value);
}
