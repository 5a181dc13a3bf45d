import type { DraftFault, Lack, Level, Lost, SheetChange } from '@exetasis/core/draft';
import type { Product, Station, Step } from '@exetasis/core/record';

/** The levels of a sheet, as what one can do with it. */
export const levelName: Readonly<Record<Level, string>> = {
	inspect: 'Strip and inspect',
	build: 'Build',
	prove: 'Prove'
};

const lackText: Readonly<Record<Lack['code'], string>> = {
	torque: 'no torque and no reason to tighten by feel',
	assumedTorque: 'torque assumed from size and property class',
	direction: 'direction not stated (noted as found)',
	deducedDirection: 'direction deduced, not stated by the maker',
	deducedSteps: 'steps deduced, not stated by the maker',
	limit: 'no size to measure (judged by damage only)',
	assumedLimit: 'limits assumed, not confirmed',
	assumedPrice: 'prices assumed, not confirmed',
	buildOrder: 'Order of assembly: reverse of the strip (deduced)',
	proof: 'No test pressure stated',
	proveSteps: 'No steps for proving',
	openingCost: 'Cost of opening the pump not entered (counted as 0)'
};

const MOST_NAMED = 4;

/** What a sheet lacks, in a sentence: "Plunger, Seat and 3 more: no size to measure". */
export function lackSentence(lack: Lack): string {
	const text = lackText[lack.code];
	if (lack.code === 'deducedSteps') return `${lack.count} ${text}.`;
	if (!('stations' in lack)) return `${text}.`;
	const names = lack.stations.slice(0, MOST_NAMED).map(({ name }) => name);
	const more = lack.stations.length - names.length;
	return `${names.join(', ')}${more > 0 ? ` and ${more} more` : ''}: ${text}.`;
}

/** Where a fault is, as the beginning of its sentence. */
export const faultSubject = ({ subject }: DraftFault): string =>
	subject.kind === 'sheet' ? (sheetField[subject.field] ?? subject.field) : `“${subject.name}”`;

const sheetField: Readonly<Record<string, string>> = {
	stations: 'The sheet',
	steps: 'Steps',
	scopes: 'A scope',
	kits: 'A kit',
	order: 'Order of assembly',
	subAssemblies: 'A sub-assembly',
	crank: 'Crank',
	assemblies: 'An assembly',
	lookAlikes: 'Look-alikes'
};

const about: Readonly<Record<SheetChange['about'], string>> = {
	part: 'Part',
	step: 'Step',
	kit: 'Kit',
	subAssembly: 'Sub-assembly',
	sheet: 'Sheet'
};
const fieldName: Readonly<Record<string, string>> = {
	characteristics: 'sizes',
	face: 'direction',
	in: 'assembly',
	lookFor: 'inspect for',
	fastening: 'bolts and torque',
	inferred: 'assumptions',
	per: 'per cylinder or pump',
	steps: 'steps',
	text: 'text',
	asks: 'questions',
	after: 'prerequisites',
	stations: 'parts'
};
const named = (field: string): string =>
	fieldName[field] ?? field.replaceAll(/([A-Z])/g, (_, letter: string) => ` ${letter.toLowerCase()}`);

export const changesCount = (count: number): string => `${count} ${count === 1 ? 'change' : 'changes'}`;

/** A difference between two versions of a sheet: "Part “Plunger”: sizes, price changed". */
export function changeSentence(change: SheetChange): string {
	const what = change.about === 'sheet' ? 'Sheet' : `${about[change.about]} “${change.name}”`;
	return change.kind === 'changed'
		? `${what}: ${change.fields.map(named).join(', ')} changed`
		: `${what} ${change.kind}`;
}

export const stageName: Readonly<Record<Step['stage'], string>> = {
	prepare: 'Prepare',
	strip: 'Strip',
	clean: 'Clean',
	build: 'Build',
	prove: 'Prove'
};

export const renewalName: Readonly<Record<Station['renewal'], string>> = {
	always: 'Always new',
	kit: 'In the kit',
	inspect: 'Inspect',
	inspectOrKit: 'Inspect or kit',
	sheet: 'As the maker states'
};

export const productKindName: Readonly<Record<Product['kind'], string>> = {
	sealant: 'Sealant',
	locker: 'Thread locker',
	tape: 'Tape',
	grease: 'Grease',
	oil: 'Oil',
	gel: 'Gel',
	packingLubricant: 'Packing lubricant',
	abrasive: 'Abrasive',
	cleaner: 'Cleaner'
};

export const towardName: Readonly<Record<Station['face']['toward'], string>> = {
	notStated: 'Not stated (note as found)',
	P: 'To the pressure side',
	C: 'To the crank side',
	mate: 'Against another part',
	either: 'Either way (stated)'
};

const lostText: Readonly<Record<Lost['what'], (name: string) => string>> = {
	scope: (name) => `scope “${name}”`,
	part: (name) => `part “${name}”`,
	size: (name) => `points of a size read on “${name}”`,
	marks: (name) => `marks painted on “${name}”`,
	bolts: (name) => `bolts tightened at “${name}”`,
	step: (name) => `step “${name}”, which was answered or signed off`,
	subAssembly: (name) => `sub-assembly “${name}”, which is in`
};

/** Why a job cannot go on with a revision. */
export const lostSentence = (serial: string, lost: readonly Lost[]): string =>
	`${serial} stays on its revision. This one lacks: ${lost.map(({ what, name }) => lostText[what](name)).join('; ')}.`;
