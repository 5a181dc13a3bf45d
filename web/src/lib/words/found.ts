import { inSentence } from './place';
import { brokenUp, foundLay, foundRan, type FoundWhere, type ModelSheet, type PartRecord } from '@exetasis/core/record';

/** How a part was found, by one sign: as it should be, turned, stayed elsewhere, fallen out, not there, twice, in pieces. */
type FoundState = 'unsaid' | 'right' | 'turned' | 'pieces' | 'pieceLost' | 'inLine' | Exclude<FoundWhere, 'inPlace'>;

export function foundState(record: PartRecord): FoundState {
	const { where, facing, joints } = record;
	const pieces = brokenUp(record);
	if (pieces) return pieces === 'oneLost' ? 'pieceLost' : 'pieces';
	const lay = where && 'where' in where.payload ? where.payload.where : undefined;
	if (lay !== undefined && lay !== 'inPlace') return lay;
	if (joints && 'joints' in joints.payload && joints.payload.joints === 'inLine') return 'inLine';
	if (facing && 'facing' in facing.payload) return facing.payload.facing;
	return lay === undefined ? 'unsaid' : 'right';
}

export const foundSign: Readonly<Record<FoundState, string>> = {
	unsaid: '',
	right: '✓',
	turned: '⇄',
	inLine: '∥',
	elsewhere: '→',
	fellOut: '↓',
	missing: '∅',
	doubled: '2×',
	pieces: '⋯',
	pieceLost: '⋯?'
};

export const foundName: Readonly<Record<FoundState, string>> = {
	unsaid: 'not recorded',
	right: 'correct',
	turned: 'wrong way round',
	inLine: 'joints in line',
	elsewhere: 'in another assembly',
	fellOut: 'fell out',
	missing: 'missing',
	doubled: 'fitted twice',
	pieces: 'in pieces, all found',
	pieceLost: 'in pieces, one not found'
};

/** The same in a sentence, with the assembly in which it had stayed. */
export function foundWords(record: PartRecord, { assemblies }: Pick<ModelSheet, 'assemblies'>): string {
	const state = foundState(record);
	const stayedIn = record.where && 'where' in record.where.payload ? record.where.payload.assembly : undefined;
	const assembly = assemblies.find(({ key }) => key === stayedIn);
	const lay = assembly ? `came off with the ${inSentence(assembly.name)}` : foundName[state];
	const noted = foundLay(record);
	const ran = foundRan(record);
	const more = [...(noted ? [`${noted.what} toward ${noted.toward}`] : []), ...(ran ? [`side ${ran} ran`] : [])].map(
		(text) => `, ${text}`
	);
	const turned = record.facing && 'facing' in record.facing.payload && record.facing.payload.facing === 'turned';
	return `${turned && state !== 'turned' ? `${lay}, ${foundName.turned}` : lay}${more.join('')}`;
}
