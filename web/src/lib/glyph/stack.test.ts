import { describe, expect, it } from 'vitest';
import type { PartTypeKey } from '@exetasis/core/part';
import { stackId, tellingParts } from './stack';

const part = (type: PartTypeKey) => ({ type, face: { toward: 'P' as const } });

describe('tellingParts', () => {
	it('takes each telling kind once, in the order in which the parts come out', () => {
		const stack = (
			['fastener', 'manifold', 'vRing', 'oRing', 'vRing', 'plunger', 'valve', 'valveSeat', 'valve'] as const
		).map(part);
		expect(tellingParts(stack).map(({ type }) => type)).toEqual(['manifold', 'vRing', 'plunger', 'valve', 'valveSeat']);
	});
	it('takes six at most, what displaces the liquid first', () => {
		const stack = (
			['manifold', 'cover', 'cage', 'valve', 'valveSeat', 'lipSeal', 'cylinder', 'vRing', 'piston'] as const
		).map(part);
		const told = tellingParts(stack).map(({ type }) => type);
		expect(told).toHaveLength(6);
		expect(told).toContain('piston');
		expect(told).not.toContain('manifold');
	});
	it('takes a sheet without parts', () => expect(tellingParts([])).toEqual([]));
});

describe('stackId', () => {
	it('keeps models of any name apart', () => {
		expect(stackId('A b')).not.toBe(stackId('A_b'));
		expect(stackId('A "b"')).not.toMatch(/[\s"]/);
	});
});
