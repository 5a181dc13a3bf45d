import { fail } from '@sveltejs/kit';
import { policySchema, type Policy } from '@exetasis/core/decide';
import { parseNumber } from '@exetasis/core/quantity';
import { readForm } from '$lib/server/form';
import { scopeOf } from '$lib/server/request';
import { numberSentence } from '$lib/words/problems';
import { policyOf, setPolicy } from '@exetasis/server/shops';

export const load = async ({ locals }) => ({ policy: await policyOf(scopeOf(locals)) });

type Fields = Record<keyof Policy, string>;
/** Fields that are typed in per cent and kept as probabilities. */
const percent = ['acceptBad', 'scrapGood', 'acceptWearOut', 'lifeLeftShare'] as const;
const numbers = ['intervalHours', 'downtimeCost'] as const;

const ANY = { least: 0, most: 1e9 };
const numberOf = (text: string | undefined): number => {
	const read = parseNumber(text ?? '', ANY);
	return read.kind === 'number' ? read.value : NaN;
};

export const actions = {
	policy: async ({ request, locals }) => {
		const typed = (await readForm(request)) as Fields;
		const parsed = policySchema.safeParse({
			...typed,
			...Object.fromEntries(numbers.map((name) => [name, numberOf(typed[name])])),
			...Object.fromEntries(percent.map((name) => [name, numberOf(typed[name]) / 100]))
		});
		if (!parsed.success) {
			const problems = Object.fromEntries(
				parsed.error.issues.map(({ path }) => [path[0], sentenceFor(path[0] as keyof Policy, typed)])
			);
			return fail(400, { typed, problems: problems as Partial<Fields> });
		}
		await setPolicy(scopeOf(locals), parsed.data);
		return { kept: true };
	}
};

function sentenceFor(name: keyof Policy, typed: Fields): string {
	const read = parseNumber(typed[name] ?? '', ANY);
	if (read.kind === 'problem' && read.problem.code === 'ambiguous') return numberSentence(read.problem);
	switch (name) {
		case 'acceptBad':
		case 'scrapGood':
			return 'Type a risk between 0 and 50 per cent, such as 5.';
		case 'acceptWearOut':
			return 'Type a chance between 0 and 100 per cent, such as 10.';
		case 'intervalHours':
			return 'Type the hours as a number up to 50 000, such as 2000.';
		case 'downtimeCost':
			return 'Type the cost of an unplanned stop as a number from 0.';
		case 'lifeLeftShare':
			return 'Type a share above 0 and up to 100 per cent, such as 20.';
		default:
			return 'Choose one of those offered.';
	}
}
