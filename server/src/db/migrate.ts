import type { Sequelize, Transaction } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import * as foundation from './migrations/0001-foundation';
import * as wearFit from './migrations/0002-wear-fit';
import * as otherEnds from './migrations/0003-other-ends';
import * as dutyAndFleet from './migrations/0004-duty-and-fleet';
import * as orderAndWithdrawals from './migrations/0005-order-and-withdrawals';
import * as gaugesAndPlaces from './migrations/0006-gauges-and-places';
import * as photos from './migrations/0007-photos';
import * as sheetsOfVersion2 from './migrations/0008-sheets-of-version-2';
import * as arrival from './migrations/0009-arrival';
import * as stock from './migrations/0010-stock';
import * as cases from './migrations/0011-cases';
import * as kits from './migrations/0012-kits';
import * as countedLooks from './migrations/0013-counted-looks';
import * as documents from './migrations/0014-documents';
import * as countedSizes from './migrations/0015-counted-sizes';
import * as shims from './migrations/0016-shims';
import * as sheetsOfVersion3 from './migrations/0017-sheets-of-version-3';
import * as gaugeTemperature from './migrations/0018-gauge-temperature';
import * as photosOfStations from './migrations/0019-photos-of-stations';
import * as firstPasswords from './migrations/0020-first-passwords';
import * as customers from './migrations/0021-customers';

interface Migration {
	readonly name: string;
	readonly sql: string;
	/** What cannot be said in SQL, after it in the same transaction. */
	readonly afterwards?: (sequelize: Sequelize, transaction: Transaction) => Promise<void>;
}
const migrations: readonly Migration[] = [
	foundation,
	wearFit,
	otherEnds,
	dutyAndFleet,
	orderAndWithdrawals,
	gaugesAndPlaces,
	photos,
	sheetsOfVersion2,
	arrival,
	stock,
	cases,
	kits,
	countedLooks,
	documents,
	countedSizes,
	shims,
	sheetsOfVersion3,
	gaugeTemperature,
	photosOfStations,
	firstPasswords,
	customers
];
const LOCK = 0x65786574; // any number of our own: "exet"

/** Brings the schema up to date. Each migration is one transaction; two starts at once wait for each other. */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
	return sequelize.transaction(async (lock) => {
		await sequelize.query(`SELECT pg_advisory_xact_lock(${LOCK})`, { transaction: lock });
		const umzug = new Umzug({
			migrations: migrations.map(({ name, sql, afterwards }) => ({
				name,
				up: () =>
					sequelize.transaction(async (transaction) => {
						await sequelize.query(sql, { transaction });
						await afterwards?.(sequelize, transaction);
					})
			})),
			storage: new SequelizeStorage({ sequelize, tableName: 'migration' }),
			logger: undefined
		});
		return (await umzug.up()).map(({ name }) => name);
	});
}
