import type { Judgement } from '@exetasis/core/decide';

/** The size that a verdict rests on: the one of the weightiest reason, else the one worn most; undefined where none has a limit. */
export function judgedSize({ reasons, measured }: Judgement): Judgement['measured'][number] | undefined {
	const named = reasons.map((reason) => ('characteristic' in reason ? reason.characteristic : undefined));
	const weightiest = named.flatMap((key) => measured.filter(({ sheet }) => sheet.key === key)).at(0);
	return weightiest ?? measured.toSorted((a, b) => b.wear.share - a.wear.share).at(0);
}
