import { partType, type PartTypeKey } from '@exetasis/core/part';
import type { SheetDraft } from '@exetasis/core/draft';

/** One of those to choose from: its key, and its name for a person. */
export type Offer = readonly [key: string, words: string];

const byName = (list: readonly { readonly key: string; readonly name: string }[]): Offer[] =>
	list.map(({ key, name }): Offer => [key, name]);
const stepsOf = ({ steps }: SheetDraft): Offer[] => steps.map(({ key, text }): Offer => [key, text]);
const goesIn = ({ stations, subAssemblies }: SheetDraft): Offer[] => [...byName(stations), ...byName(subAssemblies)];

/** What a statement of this name may refer to on the sheet; `type`: of the part that it stands with. Undefined for other names. */
export function offersFor(name: string, draft: SheetDraft, type?: PartTypeKey): readonly Offer[] | undefined {
	switch (name) {
		case 'gates':
		case 'mate':
		case 'mates':
		case 'spoils':
		case 'station':
			return byName(draft.stations);
		case 'stations':
		case 'parts':
			return goesIn(draft);
		case 'first':
			return [...goesIn(draft), ...stepsOf({ ...draft, steps: draft.steps.filter(({ stage }) => stage === 'build') })];
		case 'assembly':
		case 'in':
		case 'mayStayIn':
			return byName(draft.assemblies);
		case 'offers':
		case 'scopes':
			return byName(draft.scopes);
		case 'tool':
		case 'tools':
			return byName(draft.tools);
		case 'product':
			return byName(draft.products);
		case 'joins':
			return byName(draft.subAssemblies);
		case 'after':
		case 'of':
		case 'recalls':
		case 'unless':
		case 'until':
			return stepsOf(draft);
		case 'characteristic': {
			const types = new Set(type ? [type] : draft.stations.map((station) => station.type));
			const sizes = [...types].flatMap((text) => partType(text).characteristics);
			return [...new Map(sizes.map(({ key, name: words }) => [key, words]))];
		}
		default:
			return undefined;
	}
}
