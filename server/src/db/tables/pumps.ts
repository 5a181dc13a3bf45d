// Pumps and where they ran.
import type { Chosen } from '@exetasis/core/record';
import { date, json, key, nullable, table, text, uuid, withDefault, type RowOf } from './columns';

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

export const pump = table('pump', {
	id: key(uuid),
	shopId: uuid,
	siteId: nullable(uuid),
	serial: text,
	tag: nullable(text),
	model: text,
	duty: withDefault(json<Duty>(), {}),
	variants: withDefault(json<Chosen>(), {})
});
export type PumpRow = RowOf<typeof pump>;

/** Where a pump ran before it was moved. */
export const earlierPlace = table('earlier_place', {
	id: key(uuid),
	shopId: uuid,
	pumpId: uuid,
	siteId: nullable(uuid),
	tag: nullable(text),
	until: date,
	movedBy: text
});
export type EarlierPlaceRow = RowOf<typeof earlierPlace>;
