import { lostVolume } from '../../measure';
import type { Figure, PartContext } from '../partType';

/** What a rounded edge of a regulator's stem or seat has lost against a new, sharp one. */
export function edgeFigures({ sizes, design }: PartContext): readonly Figure[] {
	const { edgeRadius } = sizes;
	if (!edgeRadius || !(edgeRadius.value >= 0) || !(design.edgeDiameter! > 0)) return [];
	const volume = lostVolume(edgeRadius.value, design.edgeDiameter!);
	return [
		{
			key: 'lostVolume',
			value: volume,
			...(edgeRadius.value > 0 ? { u: (2 * volume * edgeRadius.u) / edgeRadius.value } : {}),
			unit: 'mm3',
			inputs: [
				{ key: 'edgeRadiusNow', value: edgeRadius.value, unit: 'mm' },
				{ key: 'diameterOfTheEdge', value: design.edgeDiameter!, unit: 'mm' }
			]
		}
	];
}
