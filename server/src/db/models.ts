import { DataTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize';
import type { ModelSheet, Scope } from '@exetasis/core/record';
import type { EndReason, FleetKnowledge, Policy } from '@exetasis/core/decide';
import type { MatFacts } from '@exetasis/core/mat';
import type { UnitPreference } from '@exetasis/core/quantity';
import type { Role } from '../access';

// Rows as they stand in the tables; constraints, keys and triggers are the migrations'.
export interface ShopRow {
	id: string;
	name: string;
	currency: string;
	demo: boolean;
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
	role: Role;
	preferences: Preferences;
	createdAt: Date;
	updatedAt: Date;
}
export interface Preferences {
	units?: UnitPreference;
	theme?: 'light' | 'dark';
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
}
export interface PumpRow {
	id: string;
	shopId: string;
	siteId: string | null;
	serial: string;
	tag: string | null;
	model: string;
	duty: Duty;
}
export interface JobRow {
	id: string;
	shopId: string;
	pumpId: string;
	modelSheetId: string;
	scope: Scope;
	complaint: string;
	meterHours: number;
	pumpHours: number;
	receivedAt: Date;
	receivedBy: string;
	releasedAt: Date | null;
	releasedBy: string | null;
	duty: Duty;
	restedOn: RestedOn | null;
}
/** What a release rested on, so that its report never changes its verdicts. */
export interface RestedOn extends Pick<MatFacts, 'policy' | 'gauges' | 'fleet'> {
	/** Version of the method by which the fleet's record was fitted. */
	readonly method: number;
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

const uuid = { type: DataTypes.UUID };
const id = { ...uuid, primaryKey: true };
const text = { type: DataTypes.TEXT };
const number = { type: DataTypes.DOUBLE };
const whole = { type: DataTypes.INTEGER };
const flag = { type: DataTypes.BOOLEAN };
const json = { type: DataTypes.JSONB };
const date = { type: DataTypes.DATE };
const day = { type: DataTypes.DATEONLY };

// Sequelize writes into the column definitions that it is given, so each table gets copies of the shared ones.
const copies = (columns: object) =>
	Object.fromEntries(Object.entries(columns).map(([key, column]) => [key, { ...column }]));

/** The Sequelize models. Tables carry the same names; sign-in's own tables are defined beside them for its adapter. */
export function defineModels(sequelize: Sequelize) {
	const define = <Row extends object>(name: string, columns: Record<keyof Row & string, object>) =>
		sequelize.define(name, copies(columns), { tableName: name }) as unknown as ModelStatic<Model<Row, Row>>;
	const models = {
		shop: define<ShopRow>('shop', { id, name: text, currency: text, demo: flag }),
		site: define<SiteRow>('site', { id, shopId: uuid, name: text }),
		policy: define<PolicyRow>('policy', { shopId: { ...uuid, primaryKey: true }, settings: json }),
		modelSheet: define<ModelSheetRow>('model_sheet', {
			id,
			shopId: uuid,
			model: text,
			layout: text,
			revision: whole,
			body: json,
			createdAt: { ...date, defaultValue: DataTypes.NOW }
		}),
		gauge: define<GaugeRow>('gauge', {
			id,
			shopId: uuid,
			name: text,
			kind: text,
			resolution: number,
			repeatability: number,
			repeatabilityDof: number,
			reproducibility: number,
			expansionPerKelvin: number
		}),
		calibration: define<CalibrationRow>('calibration', {
			id,
			shopId: uuid,
			gaugeId: uuid,
			calibratedOn: day,
			dueOn: day,
			expandedU: number,
			k: number,
			certificate: text
		}),
		pump: define<PumpRow>('pump', {
			id,
			shopId: uuid,
			siteId: uuid,
			serial: text,
			tag: text,
			model: text,
			duty: { ...json, defaultValue: {} }
		}),
		job: define<JobRow>('job', {
			id,
			shopId: uuid,
			pumpId: uuid,
			modelSheetId: uuid,
			scope: text,
			complaint: text,
			meterHours: number,
			pumpHours: number,
			receivedAt: date,
			receivedBy: text,
			releasedAt: date,
			releasedBy: text,
			duty: { ...json, defaultValue: {} },
			restedOn: json
		}),
		part: define<PartRow>('part', {
			id,
			shopId: uuid,
			type: text,
			asFitted: { ...json, defaultValue: {} },
			lot: text,
			supplier: text
		}),
		partLife: define<PartLifeRow>('part_life', {
			id,
			shopId: uuid,
			partId: uuid,
			pumpId: uuid,
			station: text,
			cylinder: whole,
			fittedJobId: uuid,
			fittedHours: number,
			removedJobId: uuid,
			removedHours: number,
			endReason: text
		}),
		matCell: define<MatCellRow>('mat_cell', {
			shopId: uuid,
			jobId: { ...uuid, primaryKey: true },
			partId: uuid,
			station: { ...text, primaryKey: true },
			cylinder: { ...whole, primaryKey: true }
		}),
		logEntry: define<LogEntryRow>('log_entry', {
			id,
			seq: { type: DataTypes.BIGINT },
			shopId: { ...uuid, primaryKey: true },
			jobId: uuid,
			partId: uuid,
			kind: text,
			payload: json,
			by: text,
			at: date,
			offsetMs: { type: DataTypes.BIGINT },
			clientSeq: { type: DataTypes.BIGINT },
			effectiveAt: date,
			receivedAt: date
		}),
		look: define<LookRow>('look', {
			entryId: { ...uuid, primaryKey: true },
			shopId: { ...uuid, primaryKey: true },
			jobId: uuid,
			partId: uuid,
			pattern: text,
			severity: whole,
			onset: text,
			at: date
		}),
		reading: define<ReadingRow>('reading', {
			entryId: { ...uuid, primaryKey: true },
			shopId: { ...uuid, primaryKey: true },
			jobId: uuid,
			partId: uuid,
			characteristic: text,
			gridRow: whole,
			gridColumn: whole,
			value: number,
			gaugeId: uuid,
			partC: number
		}),
		decision: define<DecisionRow>('decision', {
			entryId: { ...uuid, primaryKey: true },
			shopId: { ...uuid, primaryKey: true },
			jobId: uuid,
			partId: uuid,
			verdict: text,
			proposed: text,
			why: text,
			at: date
		}),
		withdrawnEntry: define<WithdrawnEntryRow>('withdrawn_entry', {
			shopId: { ...uuid, primaryKey: true },
			jobId: uuid,
			entryId: { ...uuid, primaryKey: true }
		}),
		fleetFit: define<FleetFitRow>('fleet_fit', {
			shopId: { ...uuid, primaryKey: true },
			model: { ...text, primaryKey: true },
			revision: { ...whole, primaryKey: true },
			method: { ...whole, primaryKey: true },
			jobs: { ...whole, primaryKey: true },
			knowledge: json,
			fittedAt: { ...date, defaultValue: DataTypes.NOW }
		}),
		user: define<UserRow>('user', {
			id: { ...text, primaryKey: true },
			shopId: uuid,
			name: text,
			email: text,
			emailVerified: flag,
			image: text,
			active: { ...flag, defaultValue: true },
			role: text,
			preferences: { ...json, defaultValue: {} },
			createdAt: date,
			updatedAt: date
		}),
		...signInModels(sequelize)
	};
	associate(models);
	for (const model of Object.values(models)) if (isOfAShop(model)) refuseWithoutShop(model as ModelStatic<Model>);
	return models;
}

type Models = Record<
	'site' | 'modelSheet' | 'gauge' | 'calibration' | 'pump' | 'job' | 'part' | 'partLife' | 'matCell',
	unknown
>;
// Keys carry the shop along (the migrations' foreign keys), so that what is associated is of the same shop.
function associate(models: Models): void {
	const of = (name: keyof Models) => models[name] as ModelStatic<Model>;
	of('gauge').hasMany(of('calibration'), { as: 'calibrations', foreignKey: 'gaugeId' });
	of('pump').belongsTo(of('site'), { as: 'site', foreignKey: 'siteId' });
	of('pump').hasMany(of('job'), { as: 'jobs', foreignKey: 'pumpId' });
	of('job').belongsTo(of('pump'), { as: 'pump', foreignKey: 'pumpId' });
	of('job').belongsTo(of('modelSheet'), { as: 'sheet', foreignKey: 'modelSheetId' });
	of('job').hasMany(of('matCell'), { as: 'cells', foreignKey: 'jobId' });
	of('matCell').belongsTo(of('part'), { as: 'part', foreignKey: 'partId' });
	of('partLife').belongsTo(of('part'), { as: 'part', foreignKey: 'partId' });
}

// People are looked up by their address before anybody knows their shop.
const isOfAShop = (model: object): boolean => {
	const { name, rawAttributes } = model as ModelStatic<Model>;
	return 'shopId' in rawAttributes && name !== 'user';
};

function refuseWithoutShop(model: ModelStatic<Model>): void {
	const refuse = ({ where }: { where?: object }) => {
		if (!where || !('shopId' in where || 'shop_id' in where)) throw new Error(`query without its shop: ${model.name}`);
	};
	model.addHook('beforeFind', refuse as never);
	model.addHook('beforeCount', refuse as never);
	model.addHook('beforeBulkUpdate', refuse as never);
	model.addHook('beforeBulkDestroy', refuse as never);
}

// The tables that the sign-in library keeps, with its own column names.
function signInModels(sequelize: Sequelize) {
	const define = (name: string, columns: object) => sequelize.define(name, copies(columns), { tableName: name });
	const key = { ...text, primaryKey: true };
	return {
		session: define('session', {
			id: key,
			userId: text,
			token: text,
			expiresAt: date,
			ipAddress: text,
			userAgent: text,
			createdAt: date,
			updatedAt: date
		}),
		account: define('account', {
			id: key,
			userId: text,
			accountId: text,
			providerId: text,
			password: text,
			accessToken: text,
			refreshToken: text,
			idToken: text,
			accessTokenExpiresAt: date,
			refreshTokenExpiresAt: date,
			scope: text,
			createdAt: date,
			updatedAt: date
		}),
		verification: define('verification', {
			id: key,
			identifier: text,
			value: text,
			expiresAt: date,
			createdAt: date,
			updatedAt: date
		}),
		rateLimit: define('rate_limit', { id: key, key: text, count: whole, lastRequest: { type: DataTypes.BIGINT } })
	};
}
