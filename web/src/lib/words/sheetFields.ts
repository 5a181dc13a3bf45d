import { patternName, partType, type PartTypeKey, type PatternKey } from '@exetasis/core/part';
import { unitLabel, type Unit } from '@exetasis/core/quantity';
import type { z } from 'zod';

// The statements of a model sheet by their names in the format; where one name has two meanings, with what it belongs to.
const labels: Readonly<Record<string, string>> = {
	'.unit': 'Replacement unit',
	'characteristics.face': 'Points on a face',
	'grid.stations': 'Points along the part',
	abrasive: 'Abrasive on it',
	access: 'How the shaft is reached',
	after: 'Must be signed off before',
	alsoCalled: 'Also called',
	anglesDeg: 'Angles round the part',
	apartDeg: 'Joints turned apart by',
	are: 'They are',
	asks: 'Questions in full',
	assemblies: 'Assemblies in full',
	assembly: 'Assembly',
	at: 'Where',
	betweenParts: 'Scatter between parts (of ln rate)',
	blocking: 'Nothing else before it is signed off',
	bolts: 'Bolts',
	by: 'Told apart by',
	byFeel: 'At risk by feel',
	cautions: 'Cautions in full',
	characteristic: 'Size',
	characteristics: 'Sizes in full',
	choices: 'Answers',
	clock: 'Where it lies round the axis',
	collateral: 'Cost of what its failure spoils',
	columnsMm: 'Columns, from the corner',
	crank: 'Crank',
	cureMinutes: 'Cured after',
	cylinder: 'Cylinder',
	deg: 'Clockwise from the top',
	deliveryDays: 'Delivery',
	design: 'Design values',
	diameterMm: 'Nominal diameter',
	difference: 'Largest difference',
	duty: 'Classes of duty',
	elastomer: 'Made of (elastomer)',
	face: 'Direction in full',
	fastening: 'Bolts and torque in full',
	feature: 'Feature that the drawing turns',
	finding: 'Finding',
	first: 'In this order',
	flowLmin: 'Flow',
	for: 'As the part goes',
	friction: 'Friction',
	fromMm: 'From, from the pressure side',
	gates: 'Not fitted before this part is judged',
	grid: 'Points round the part',
	hazard: 'Hazard',
	hold: 'Held, because',
	holds: 'It holds',
	how: 'How',
	in: 'Lies in',
	inferred: 'Deduced or assumed, not stated',
	joins: 'Joins the sub-assembly',
	joints: 'Split rings',
	kind: 'Kind',
	kits: 'Kits in full',
	lays: 'Puts down',
	lengthMm: 'Length',
	lifeHours: 'Life of a unit',
	lifePrior: 'Other ends of life, assumed',
	limitFrom: 'Limit stated by',
	liquids: 'With the liquids',
	locks: 'What it locks',
	loosen: 'Power may loosen',
	lookAlikes: 'Parts that look alike',
	mark: 'Mark',
	massKg: 'Mass',
	mate: 'The part that runs against it',
	mates: 'Runs with, in full',
	mateLies: 'That part lies to the',
	max: 'Upper limit',
	mayStayIn: 'May also stay in',
	means: 'Means',
	min: 'Lower limit',
	minutes: 'Minutes',
	most: 'At most',
	mostNm: 'Overtightened above',
	mostTurnDeg: 'Past hand-tight at most',
	name: 'Name',
	near: 'Beside',
	newAdvised: 'Why a new one is advised',
	nominal: 'New',
	not: 'Anywhere but there',
	notOn: 'Attacks',
	number: 'Number',
	of: 'Of',
	offers: 'Asks about the scopes',
	onceMore: 'Once more round at full torque',
	opensOn: 'Opened on the evidence of',
	order: 'Order of assembly',
	parts: 'Parts, in the order of joining',
	pattern: 'Pattern',
	per: 'For each',
	per1000h: 'Wear in 1000 h',
	phasesDeg: 'Throws of the crank',
	pieces: 'Pieces',
	power: 'Power tools',
	pressureShare: 'From this share of the rated pressure',
	price: 'Price',
	product: 'Product',
	products: 'Lubricants and sealants in full',
	recalls: 'Shows again what was noted at',
	reversible: 'Either side may run',
	risk: 'Risk',
	rodMm: 'Length of a connecting rod',
	rowsMm: 'Rows, from the corner',
	runIn: 'Power may run in',
	scaleHours: 'Characteristic life',
	scopes: 'Scopes in full',
	shape: 'Shape',
	side: 'Belongs to',
	slots: 'Slots of the castle nut',
	special: 'Made for this work alone',
	speedShare: 'From this share of the rated speed',
	spoils: 'Spoils when it fails',
	stages: 'Passes, as shares of the torque',
	stand: 'The crank stands',
	statedIn: 'Torque stated in',
	station: 'Part',
	stations: 'Parts',
	stationsMm: 'Their positions along the part',
	stays: 'Judged where it is',
	stopsAt: 'Stops the pump at',
	subAssemblies: 'Sub-assemblies in full',
	substitutes: 'What may stand in',
	sure: 'Known from',
	surface: 'Surface on which marks are painted',
	suspect: 'Measured on finding',
	text: 'Text',
	thread: 'Thread',
	tolerance: 'New part within ±',
	toMm: 'To, from the pressure side',
	tool: 'Tool',
	tools: 'Tools in full',
	torqueFrom: 'Torque stated by',
	torqueNm: 'Torque',
	toward: 'Points to',
	track: 'Where the seal runs',
	unit: 'Unit',
	unless: 'But for',
	until: 'Until',
	up: 'Side that lies up',
	walk: 'Order at several cylinders',
	ways: 'Ways to choose from',
	wearFactor: 'Wears so many times as fast',
	wearPrior: 'Wear, assumed',
	what: 'What',
	when: 'When',
	where: 'Where',
	why: 'Why',
	within: 'To be done within',
	within1000h: 'Scatter within a part in 1000 h',
	workMinutes: 'To be worked within',
	priorWeight: 'Prior weight, in lives',
	xMm: 'To the right of the middle',
	yMm: 'Above the middle'
};

/** The name of a statement for a person; `within`: of the statement that it belongs to. */
export const fieldLabel = (name: string, within: string): string =>
	labels[`${within}.${name}`] ?? labels[name] ?? wordsOf(name);

const units: readonly (readonly [end: RegExp, unit: Unit, suffix?: string])[] = [
	[/Mm$/, 'mm'],
	[/Deg$|^deg$/, 'deg'],
	[/Nm$/, 'Nm'],
	[/MPa$/, 'MPa'],
	[/Hours$/, 'h'],
	[/[mM]inutes$/, 'pieces', 'min'],
	[/Kg$/, 'pieces', 'kg'],
	[/Days$/, 'pieces', 'days'],
	[/Lmin$/, 'Lmin']
];
/** The unit in which a number of this name stands on the sheet, and what is written beside it where that is no unit of ours. */
export function fieldUnit(name: string): { readonly unit: Unit; readonly suffix?: string } {
	const found = units.find(([end]) => end.test(name));
	return found ? { unit: found[1], ...(found[2] ? { suffix: found[2] } : {}) } : { unit: 'pieces', suffix: '' };
}

const values: Readonly<Record<string, string>> = {
	C: 'crank side',
	P: 'pressure side',
	both: 'out and in',
	cylinders: 'at every cylinder',
	finding: 'a finding',
	forward: 'toward the pressure side',
	back: 'toward the crank side',
	inspectOrKit: 'if damaged, or with its kit',
	list: 'at these points',
	lookAlike: 'only alike',
	mate: 'its mate',
	never: 'never on it',
	notStated: 'not stated',
	number: 'one cylinder',
	ifTight: 'if it is tight',
	onSuspicion: 'if damage is found',
	outerLevel: 'with the outer plungers level',
	pin: 'guide pin',
	doNotTouch: 'not touched',
	unit: 'decide on the whole pump'
};

/** A value of a statement for a person. */
export function valueLabel(field: string, value: string): string {
	if (field === 'suspect' || (field === 'pattern' && !(value in values))) return patternLabel(value);
	if (field === 'type') return partType(value as PartTypeKey).name;
	if (field === 'unit' || field === 'statedIn') return values[value] ?? unitLabel(value as Unit);
	return values[value] ?? wordsOf(value);
}

function patternLabel(value: string): string {
	return (patternName(value as PatternKey) as string | undefined) ?? wordsOf(value);
}

const wordsOf = (name: string): string => {
	const words = name.replace(/([A-Z])/g, ' $1').toLowerCase();
	return words.charAt(0).toUpperCase() + words.slice(1);
};

/** What is wrong with a statement that the schema refuses, as a sentence. */
export function statementProblem(issue: z.core.$ZodRawIssue): string {
	switch (issue.code) {
		case 'too_small':
			if (issue.origin === 'string') return 'Type a text first.';
			if (issue.origin === 'array') return `Add at least ${issue.minimum}.`;
			return issue.inclusive ? `This must be ${issue.minimum} or more.` : `This must be above ${issue.minimum}.`;
		case 'too_big':
			if (issue.origin === 'string') return `This is longer than ${issue.maximum} characters. Shorten it.`;
			if (issue.origin === 'array') return `At most ${issue.maximum}.`;
			return issue.inclusive ? `This must be ${issue.maximum} or less.` : `This must be below ${issue.maximum}.`;
		case 'not_multiple_of':
			return `This must be a multiple of ${issue.divisor}.`;
		case 'invalid_format':
			return 'Choose one first.';
		case 'invalid_type':
			return issue.expected === 'int' ? 'Type a whole number.' : 'Type a value first.';
		default:
			return 'Choose one of those offered.';
	}
}
