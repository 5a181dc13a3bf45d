import { DataTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize';
import type { ModelSheet, Scope } from '@exetasis/core/record';
import type { EndReason, Policy } from '@exetasis/core/decide';
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
	return {
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
			createdAt: date
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
		pump: define<PumpRow>('pump', { id, shopId: uuid, siteId: uuid, serial: text, tag: text, model: text, duty: json }),
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
			duty: json
		}),
		part: define<PartRow>('part', { id, shopId: uuid, type: text, asFitted: json, lot: text, supplier: text }),
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
		user: define<UserRow>('user', {
			id: { ...text, primaryKey: true },
			shopId: uuid,
			name: text,
			email: text,
			emailVerified: flag,
			image: text,
			role: text,
			preferences: { ...json, defaultValue: {} },
			createdAt: date,
			updatedAt: date
		}),
		...signInModels(sequelize)
	};
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
