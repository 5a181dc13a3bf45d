import type { Figure, PartContext } from '../partType';

/** How many shims take up a cylinder's end gap and give it the press that keeps it from moving. */
export function shimFigures({ sizes, design }: PartContext): readonly Figure[] {
	const { endGap } = sizes;
	if (!endGap || !(design.shimThickness! > 0)) return [];
	const press = design.endPress ?? 0;
	const needed = Math.max(0, endGap.value + press);
	return [
		{
			key: 'shimPack',
			value: Math.ceil(needed / design.shimThickness! - 1e-9),
			unit: 'pieces',
			inputs: [
				{ key: 'endGap', value: endGap.value, unit: 'mm' },
				{ key: 'pressWanted', value: press, unit: 'mm' },
				{ key: 'oneShim', value: design.shimThickness!, unit: 'mm' }
			]
		}
	];
}
