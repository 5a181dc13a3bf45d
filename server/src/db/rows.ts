import type { SheetDraft } from '@exetasis/core/draft';
import type { CauseNetwork } from '@exetasis/core/trace';
import type { EndReason, FleetKnowledge, Policy } from '@exetasis/core/decide';
import type { MatFacts } from '@exetasis/core/mat';
import type { UnitPreference } from '@exetasis/core/quantity';
import type { ArrivalFacts, Chosen, Customer, ModelSheet, Unproved } from '@exetasis/core/record';
import type { Role } from '../access';

// Rows as they stand in the tables; constraints, keys and triggers are the migrations'.
export interface ShopRow {
	id: string;
	name: string;
	currency: string;
	demo: boolean;
}
/** What stands at the head of what a shop hands out. */
export interface LetterheadRow {
	shopId: string;
	/** Lines under the shop's name. */
	address: string;
	/** PNG; null where the shop has none. */
	logo: Buffer | null;
}
export interface SiteRow {
	id: string;
	shopId: string;
	name: string;
}
export interface UserRow {
	id: string;
	shopId: string;
	name: string;
	email: string;
	emailVerified: boolean;
	image: string | null;
	active: boolean;
	/** Signs in with a password that other people have seen, and has to change it. */
	firstPassword: boolean;
	role: Role;
	preferences: Preferences;
	createdAt: Date;
	updatedAt: Date;
}
export interface Preferences {
	units?: UnitPreference;
	theme?: 'light' | 'dark';
	/** The sign before decimals, and what stands between groups of three digits. */
	numerals?: 'point-space' | 'comma-space';
	/** The hand that touches: the panels that are touched most lie on its side. */
	hand?: 'left' | 'right';
	/** When the pad for readings is offered. */
	pad?: 'touch' | 'always' | 'never';
	/** The sizes of one's own wrenches, by model and tool. */
	wrenches?: Readonly<Record<string, string>>;
}
export interface PolicyRow {
	shopId: string;
	settings: Policy;
}
export interface ModelSheetRow {
	id: string;
	shopId: string;
	model: string;
	layout: string;
	revision: number;
	body: ModelSheet;
	createdAt: Date;
}
export interface SheetDraftRow {
	id: string;
	shopId: string;
	body: SheetDraft;
	/** Grows with every change; a change names the version that it changes. */
	version: number;
	/** The sheet that it revises; null: a new one. */
	basedOn: string | null;
	changedBy: string;
	changedAt: Date;
}
export interface GaugeRow {
	id: string;
	shopId: string;
	name: string;
	kind: string;
	resolution: number;
	repeatability: number;
	repeatabilityDof: number;
	reproducibility: number;
	expansionPerKelvin: number;
	/** The day from which it is used no more: "2026-03-01". */
	retiredOn: string | null;
}
export interface CalibrationRow {
	id: string;
	shopId: string;
	gaugeId: string;
	calibratedOn: string;
	dueOn: string;
	expandedU: number;
	k: number;
	certificate: string;
}
export interface Duty {
	liquid?: string;
	temperatureC?: number;
	pressureMPa?: number;
	speedRpm?: number;
	inlet?: string;
	inletPressureMPa?: number;
	/** Since the rebuild before. */
	starts?: number;
}
export interface PumpRow {
	id: string;
	shopId: string;
	siteId: string | null;
	serial: string;
	tag: string | null;
	model: string;
	duty: Duty;
	variants: Chosen;
}
/** Where a pump ran before it was moved. */
export interface EarlierPlaceRow {
	id: string;
	shopId: string;
	pumpId: string;
	siteId: string | null;
	tag: string | null;
	until: Date;
	movedBy: string;
}
export interface JobRow {
	id: string;
	shopId: string;
	pumpId: string;
	modelSheetId: string;
	/** Key of one of its sheet's scopes. */
	scope: string;
	complaint: string;
	meterHours: number;
	pumpHours: number;
	receivedAt: Date;
	receivedBy: string;
	releasedAt: Date | null;
	releasedBy: string | null;
	duty: Duty;
	/** The pump's variants as they were when it was received. */
	variants: Chosen;
	/** How it came in; empty for jobs received before this was asked. */
	arrival: Partial<ArrivalFacts>;
	/** Whose pump it is and what they are told. */
	customer: Customer;
	restedOn: RestedOn | null;
}
/** What a release rested on, so that its report never changes its verdicts. */
export interface RestedOn extends Pick<MatFacts, 'policy' | 'gauges' | 'fleet'> {
	/** Version of the method by which the fleet's record was fitted. */
	readonly method: number;
	/** Where it went; unknown of releases before this was asked. */
	readonly handover?: Handover;
	/** What was not put together and proved when a lead let it go, and why. */
	readonly unbuilt?: StillToDo & { readonly why: string };
}
/** Where a pump goes when it is released, and whether its hoses and covers are back where they were. */
export interface Handover {
	readonly to: 'service' | 'shelf';
	readonly connected: boolean;
}
/** Steps of building and proving that are not done, and what the sheet's test lacks. */
export interface StillToDo {
	readonly steps: readonly string[];
	readonly tests: readonly Unproved[];
}
export interface ShimRow {
	shopId: string;
	thicknessMm: number;
	count: number;
}
export interface StockRow {
	shopId: string;
	model: string;
	station: string;
	pieces: number;
	floor: number;
}
export interface MatCellRow {
	shopId: string;
	jobId: string;
	partId: string;
	station: string;
	cylinder: number;
}
export interface LogEntryRow {
	id: string;
	seq: string;
	shopId: string;
	jobId: string;
	partId: string | null;
	kind: string;
	payload: unknown;
	by: string;
	at: Date;
	offsetMs: string | null;
	clientSeq: string | null;
	effectiveAt: Date | null;
	receivedAt: Date;
}
export interface LookRow {
	entryId: string;
	shopId: string;
	jobId: string;
	partId: string;
	pattern: string | null;
	severity: number | null;
	onset: string | null;
	at: Date;
}
export interface CountedLookRow {
	shopId: string;
	jobId: string;
	partId: string;
	pumpId: string;
	station: string;
	cylinder: number;
	fittedHours: number | null;
	hours: number;
}
export interface CountedMarkRow extends Omit<CountedLookRow, 'hours'> {
	pattern: string;
	opening: number;
}
export interface CountedSizeRow extends CountedLookRow {
	characteristic: string;
	beyond: boolean;
}
export interface CountedPumpRow {
	shopId: string;
	pumpId: string;
	mark: string;
}
export interface ReadingRow {
	entryId: string;
	shopId: string;
	jobId: string;
	partId: string;
	characteristic: string;
	gridRow: number;
	gridColumn: number;
	value: number;
	gaugeId: string | null;
	partC: number | null;
	gaugeC: number | null;
}
export interface DecisionRow {
	entryId: string;
	shopId: string;
	jobId: string;
	partId: string;
	verdict: string;
	proposed: string;
	why: string | null;
	at: Date;
}
export interface WithdrawnEntryRow {
	shopId: string;
	jobId: string;
	entryId: string;
}
export interface PhotoRow {
	shopId: string;
	jobId: string;
	sha256: string;
	jpeg: Buffer;
	keptBy: string;
}
export interface DocumentRow {
	id: string;
	shopId: string;
	model: string;
	about: 'sheet' | 'step' | 'station';
	/** Of the step or station; empty for the sheet as a whole. */
	key: string;
	name: string;
	type: 'application/pdf' | 'image/png' | 'image/jpeg';
	bytes: Buffer;
	addedBy: string;
	addedAt: Date;
}
export interface FleetFitRow {
	shopId: string;
	model: string;
	revision: number;
	method: number;
	jobs: number;
	knowledge: FleetKnowledge;
	fittedAt: Date;
}
export interface PartRow {
	id: string;
	shopId: string;
	type: string;
	asFitted: Record<string, number>;
	lot: string | null;
	supplier: string | null;
	kit: string | null;
}
export interface PartLifeRow {
	id: string;
	shopId: string;
	partId: string;
	pumpId: string;
	station: string;
	cylinder: number;
	fittedJobId: string | null;
	fittedHours: number | null;
	removedJobId: string | null;
	removedHours: number | null;
	endReason: EndReason | null;
}

/** One revision of what the shop believes of causes. */
export interface CauseNetworkRow {
	shopId: string;
	revision: number;
	body: CauseNetwork;
	madeBy: string;
	madeAt: Date;
}
/** What was done with a case, when and by whom; the last one says how it stands. */
export interface CaseStep {
	readonly at: string;
	readonly by: string;
	readonly did: 'opened' | 'acted' | 'confirmed' | 'refuted' | 'notTold' | 'reopened';
	readonly says: string;
}
/** A recurrence that somebody tries to put an end to. */
export interface TraceCaseRow {
	id: string;
	shopId: string;
	pumpId: string;
	station: string;
	cylinder: number;
	pattern: string;
	cause: string;
	hypothesis: string;
	openedJobId: string;
	action: string | null;
	actedJobId: string | null;
	effectiveness: number | null;
	watchHours: number | null;
	outcome: 'confirmed' | 'refuted' | 'notTold' | null;
	history: readonly CaseStep[];
}
