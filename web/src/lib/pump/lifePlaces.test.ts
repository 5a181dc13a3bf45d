import { describe, expect, it } from 'vitest';
import type { Station } from '@exetasis/core/record';
import type { LifeListing } from '@exetasis/server/db/sql/lives';
import { lifePlaces, namesOver } from './lifePlaces';

const station = (key: string, name: string, per: Station['per']) => ({ key, name, per }) as Station;
const sheet = {
	cylinders: 3,
	stations: [
		station('manifold', 'Manifold', 'pump'),
		station('plunger', 'Plunger', 'cylinder'),
		station('packing', 'Packing', 'cylinder')
	]
};
const life = (key: string, cylinder: number) => ({ station: key, cylinder }) as LifeListing;

describe('the lives of a pump by place', () => {
	const places = lifePlaces(sheet, [life('plunger', 2), life('plunger', 2), life('manifold', 0), life('gone', 1)]);
	it('stand at the place where they were lived, of each cylinder', () => {
		expect(places.map(({ station, cylinder, lives }) => [station.key, cylinder, lives.length])).toEqual([
			['manifold', 0, 1],
			['plunger', 1, 0],
			['plunger', 2, 2],
			['plunger', 3, 0],
			['packing', 1, 0],
			['packing', 2, 0],
			['packing', 3, 0]
		]);
	});
	it('have the name of their own part over them, also where its first cylinder is not shown', () => {
		expect(namesOver(places)).toEqual(['Manifold', 'Plunger', '', '', 'Packing', '', '']);
		const some = places.filter(({ lives }) => lives.length > 0);
		expect(namesOver(some)).toEqual(['Manifold', 'Plunger']);
	});
});
