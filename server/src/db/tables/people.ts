// People who sign in.
import type { Role } from '../../access';
import type { UnitPreference } from '@exetasis/core/quantity';
import { date, flag, json, key, nullable, table, text, textOf, uuid, withDefault } from './columns';

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

export const user = table('user', {
	id: key(text),
	shopId: uuid,
	name: text,
	email: text,
	emailVerified: flag,
	image: nullable(text),
	active: withDefault(flag, true),
	/** Signs in with a password that other people have seen, and has to change it. */
	firstPassword: withDefault(flag, false),
	role: textOf<Role>(),
	preferences: withDefault(json<Preferences>(), {}),
	createdAt: date,
	updatedAt: date
});
