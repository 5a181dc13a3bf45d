import { DataTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize';
import { associate } from './associations';
import { refuseWithoutShop } from './refuseWithoutShop';
import type {
	CalibrationRow,
	CauseNetworkRow,
	CountedLookRow,
	CountedMarkRow,
	CountedPumpRow,
	CountedSizeRow,
	DecisionRow,
	DocumentRow,
	EarlierPlaceRow,
	FleetFitRow,
	GaugeRow,
	JobRow,
	LetterheadRow,
	LogEntryRow,
	LookRow,
	MatCellRow,
	ModelSheetRow,
	PartLifeRow,
	PartRow,
	PhotoRow,
	PolicyRow,
	PumpRow,
	ReadingRow,
	SheetDraftRow,
	ShopRow,
	SiteRow,
	ShimRow,
	StockRow,
	TraceCaseRow,
	UserRow,
	WithdrawnEntryRow
} from './rows';

const uuid = { type: DataTypes.UUID };
const id = { ...uuid, primaryKey: true };
const text = { type: DataTypes.TEXT };
const number = { type: DataTypes.DOUBLE };
const whole = { type: DataTypes.INTEGER };
const flag = { type: DataTypes.BOOLEAN };
const json = { type: DataTypes.JSONB };
const date = { type: DataTypes.DATE };
const day = { type: DataTypes.DATEONLY };

const counted = {
	shopId: uuid,
	jobId: id,
	partId: id,
	pumpId: uuid,
	station: text,
	cylinder: whole,
	fittedHours: number
};

// Sequelize writes into the column definitions that it is given, so each table gets copies of the shared ones.
const copies = (columns: object) =>
	Object.fromEntries(Object.entries(columns).map(([key, column]) => [key, { ...column }]));

/** The Sequelize models. Tables carry the same names; sign-in's own tables are defined beside them for its adapter. */
export function defineModels(sequelize: Sequelize) {
	const define = <Row extends object>(name: string, columns: Record<keyof Row & string, object>) =>
		sequelize.define(name, copies(columns), { tableName: name }) as unknown as ModelStatic<Model<Row, Row>>;
	const models = {
		shop: define<ShopRow>('shop', { id, name: text, currency: text, demo: flag }),
		letterhead: define<LetterheadRow>('letterhead', {
			shopId: { ...uuid, primaryKey: true },
			address: text,
			logo: { type: DataTypes.BLOB }
		}),
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
		sheetDraft: define<SheetDraftRow>('sheet_draft', {
			id,
			shopId: uuid,
			body: json,
			version: whole,
			basedOn: uuid,
			changedBy: text,
			changedAt: date
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
			expansionPerKelvin: number,
			retiredOn: day
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
			duty: { ...json, defaultValue: {} },
			variants: { ...json, defaultValue: {} }
		}),
		earlierPlace: define<EarlierPlaceRow>('earlier_place', {
			id,
			shopId: uuid,
			pumpId: uuid,
			siteId: uuid,
			tag: text,
			until: date,
			movedBy: text
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
			arrival: { ...json, defaultValue: {} },
			customer: { ...json, defaultValue: {} },
			variants: { ...json, defaultValue: {} },
			restedOn: json
		}),
		part: define<PartRow>('part', {
			id,
			shopId: uuid,
			type: text,
			asFitted: { ...json, defaultValue: {} },
			lot: text,
			kit: text,
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
		shim: define<ShimRow>('shim', {
			shopId: { ...uuid, primaryKey: true },
			thicknessMm: { ...number, primaryKey: true },
			count: whole
		}),
		stock: define<StockRow>('stock', {
			shopId: { ...uuid, primaryKey: true },
			model: { ...text, primaryKey: true },
			station: { ...text, primaryKey: true },
			pieces: whole,
			floor: whole
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
		countedLook: define<CountedLookRow>('counted_look', {
			...counted,
			hours: number
		}),
		countedMark: define<CountedMarkRow>('counted_mark', {
			...counted,
			pattern: { ...text, primaryKey: true },
			opening: number
		}),
		countedSize: define<CountedSizeRow>('counted_size', {
			...counted,
			characteristic: { ...text, primaryKey: true },
			hours: number,
			beyond: flag
		}),
		countedPump: define<CountedPumpRow>('counted_pump', {
			shopId: uuid,
			pumpId: { ...uuid, primaryKey: true },
			mark: text
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
			partC: number,
			gaugeC: number
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
		photo: define<PhotoRow>('photo', {
			shopId: { ...uuid, primaryKey: true },
			jobId: { ...uuid, primaryKey: true },
			sha256: { ...text, primaryKey: true },
			jpeg: { type: DataTypes.BLOB },
			keptBy: text
		}),
		document: define<DocumentRow>('document', {
			id,
			shopId: { ...uuid, primaryKey: true },
			model: text,
			about: text,
			key: text,
			name: text,
			type: text,
			bytes: { type: DataTypes.BLOB },
			addedBy: text,
			addedAt: date
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
		causeNetwork: define<CauseNetworkRow>('cause_network', {
			shopId: { ...uuid, primaryKey: true },
			revision: { ...whole, primaryKey: true },
			body: json,
			madeBy: text,
			madeAt: { ...date, defaultValue: DataTypes.NOW }
		}),
		traceCase: define<TraceCaseRow>('trace_case', {
			id: { ...uuid, primaryKey: true },
			shopId: { ...uuid, primaryKey: true },
			pumpId: uuid,
			station: text,
			cylinder: whole,
			pattern: text,
			cause: text,
			hypothesis: text,
			openedJobId: uuid,
			action: text,
			actedJobId: uuid,
			effectiveness: number,
			watchHours: number,
			outcome: text,
			history: { ...json, defaultValue: [] }
		}),
		user: define<UserRow>('user', {
			id: { ...text, primaryKey: true },
			shopId: uuid,
			name: text,
			email: text,
			emailVerified: flag,
			image: text,
			active: { ...flag, defaultValue: true },
			firstPassword: { ...flag, defaultValue: false },
			role: text,
			preferences: { ...json, defaultValue: {} },
			createdAt: date,
			updatedAt: date
		}),
		...signInModels(sequelize)
	};
	associate(models);
	for (const model of Object.values(models)) refuseWithoutShop(model as ModelStatic<Model>);
	return models;
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
