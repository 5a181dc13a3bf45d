import type { Caution, OnlyWith, Variant } from '../record';
import { defined } from './defined';
import { keyFor } from './keys';
import type { SheetDraft } from './newSheet';

const keysOf = (list: readonly { readonly key: string }[]): string[] => list.map(({ key }) => key);

/** The draft with one more question about the pump, of two choices that are named afterwards. */
export function withVariant(draft: SheetDraft, name: string): SheetDraft {
	const variant: Variant = {
		key: keyFor(name, keysOf(draft.variants)),
		name,
		per: 'pump',
		choices: [
			{ key: 'first', name: 'First' },
			{ key: 'second', name: 'Second' }
		]
	};
	return { ...draft, variants: [...draft.variants, variant] };
}

/** The draft with one more choice for this question. */
export const withChoice = (draft: SheetDraft, variant: string, name: string): SheetDraft => ({
	...draft,
	variants: draft.variants.map((other) =>
		other.key === variant
			? { ...other, choices: [...other.choices, { key: keyFor(name, keysOf(other.choices)), name }] }
			: other
	)
});

/** What belongs to a choice alone, or has a caution that does: without it nothing would say when they apply. */
export function namesOnlyWith(draft: SheetDraft, variant: string, choice: string): string[] {
	const alone = ({ onlyWith }: { readonly onlyWith?: OnlyWith }) => {
		const choices = onlyWith?.[variant];
		return choices?.length === 1 && choices[0] === choice;
	};
	const partly = (owner: { readonly onlyWith?: OnlyWith; readonly cautions: readonly Caution[] }) =>
		alone(owner) || owner.cautions.some(alone);
	return [
		...draft.stations.filter(partly).map(({ name }) => name),
		...draft.steps.filter(partly).map(({ text }) => text),
		...draft.kits.filter(alone).map(({ name }) => name)
	];
}

/** The draft without this choice. Errors: none; a choice that something belongs to alone stays (`namesOnlyWith`). */
export function withoutChoice(draft: SheetDraft, variant: string, choice: string): SheetDraft {
	if (namesOnlyWith(draft, variant, choice).length > 0) return draft;
	const variants = draft.variants.map((other) =>
		other.key === variant ? { ...other, choices: other.choices.filter(({ key }) => key !== choice) } : other
	);
	return narrowed({ ...draft, variants }, variant, (choices) => choices.filter((key) => key !== choice));
}

/** The draft without this question: what belonged to some of its choices belongs to every pump. */
export const withoutVariant = (draft: SheetDraft, variant: string): SheetDraft =>
	narrowed({ ...draft, variants: draft.variants.filter(({ key }) => key !== variant) }, variant, () => []);

/** A condition with these choices of one question; of all or none of them it does not depend on the question. */
export function onlyWithChoices(onlyWith: OnlyWith, { key, choices }: Variant, chosen: readonly string[]): OnlyWith {
	const { [key]: _, ...others } = onlyWith ?? {};
	const some = chosen.length > 0 && chosen.length < choices.length;
	const next = some ? { ...others, [key]: [...chosen] } : others;
	return Object.keys(next).length > 0 ? next : undefined;
}

function narrowed(draft: SheetDraft, variant: string, keep: (choices: string[]) => string[]): SheetDraft {
	const condition = <T extends { readonly onlyWith?: OnlyWith }>(other: T): T => {
		if (!other.onlyWith?.[variant]) return other;
		const { [variant]: choices, ...others } = other.onlyWith;
		const left = keep(choices);
		const onlyWith = left.length > 0 ? { ...others, [variant]: left } : others;
		return defined({ ...other, onlyWith: Object.keys(onlyWith).length > 0 ? onlyWith : undefined });
	};
	const within = <T extends { readonly onlyWith?: OnlyWith; readonly cautions: Caution[] }>(other: T): T =>
		condition({ ...other, cautions: other.cautions.map(condition) });
	return {
		...draft,
		stations: draft.stations.map(within),
		steps: draft.steps.map(within),
		kits: draft.kits.map(condition)
	};
}
