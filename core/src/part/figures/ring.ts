/** Figures of O-rings and flat seals: set, squeeze, stretch, fill, swell, hardness, size. */
import { compressionSet, glandFill, squeeze, stretch, swell, swellByMass, whichRing } from '../../mechanics';
import { figureOr } from './figure';
import type { Figure, Input, PartContext } from '../partType';
import type { FigureInput } from './keys';

const mm = (key: FigureInput, value: number): Input => ({ key, value, unit: 'mm' });

export const ringFigures = (context: PartContext): readonly Figure[] => [
	...setFigure(context, 'section'),
	...inGland(context),
	...swelling(context),
	...hardening(context),
	...size(context)
];

export const flatSealFigures = (context: PartContext): readonly Figure[] => [
	...setFigure(context, 'thickness'),
	...hardening(context)
];

function setFigure({ sizes, asNew, design }: PartContext, key: 'section' | 'thickness'): readonly Figure[] {
	const [now, start, gland] = [sizes[key], asNew[key], design.glandDepth];
	if (!now || start === undefined || gland === undefined || !(start > gland) || !(now.value > 0)) return [];
	return figureOr({
		key: 'compressionSet',
		value: compressionSet({ asNew: start, found: now.value, gland }),
		u: now.u / (start - gland),
		unit: 'share',
		...(design.mostSet === undefined ? {} : { limit: { max: design.mostSet } }),
		inputs: [mm('asNew', start), mm('asFound', now.value), mm('glandDepth', gland)]
	});
}

function inGland({ sizes, design }: PartContext): Figure[] {
	const { section, insideDiameter } = sizes;
	const { glandDepth, glandWidth, grooveDiameter } = design;
	const figures: Figure[] = [];
	if (section && section.value > 0 && glandDepth !== undefined) {
		const inputs = [mm('sectionNow', section.value), mm('glandDepth', glandDepth)];
		figures.push({
			key: 'squeeze',
			value: squeeze(section.value, glandDepth),
			u: (glandDepth * section.u) / section.value ** 2,
			unit: 'share',
			limit: { min: 0 },
			inputs
		});
		if (glandWidth !== undefined)
			figures.push({
				key: 'glandFill',
				value: glandFill(section.value, glandDepth, glandWidth),
				unit: 'share',
				limit: { max: 1 },
				inputs: [...inputs, mm('glandWidth', glandWidth)]
			});
	}
	if (insideDiameter && insideDiameter.value > 0 && grooveDiameter !== undefined)
		figures.push({
			key: 'stretch',
			value: stretch(insideDiameter.value, grooveDiameter),
			unit: 'share',
			inputs: [mm('insideDiameterNow', insideDiameter.value), mm('grooveDiameter', grooveDiameter)]
		});
	return figures;
}

function swelling({ sizes, asNew }: PartContext): Figure[] {
	const figures: Figure[] = [];
	if (sizes.mass && asNew.mass! > 0 && sizes.mass.value > 0)
		figures.push({
			key: 'swellByMass',
			value: swellByMass(sizes.mass.value, asNew.mass!),
			unit: 'share',
			inputs: [
				{ key: 'massNow', value: sizes.mass.value, unit: 'g' },
				{ key: 'massAsNew', value: asNew.mass!, unit: 'g' }
			]
		});
	const { section } = sizes;
	if (section && asNew.section! > 0 && section.value > asNew.section!)
		figures.push({
			key: 'swell',
			value: swell(section.value, asNew.section!),
			unit: 'share',
			inputs: [mm('sectionNow', section.value), mm('sectionAsNew', asNew.section!)]
		});
	return figures;
}

function hardening({ sizes, asNew }: PartContext): readonly Figure[] {
	const { hardness } = sizes;
	if (!hardness || asNew.hardness === undefined) return [];
	return [
		{
			key: 'hardening',
			value: hardness.value - asNew.hardness,
			u: hardness.u,
			unit: 'shoreA',
			inputs: [
				{ key: 'now', value: hardness.value, unit: 'shoreA' },
				{ key: 'asNew', value: asNew.hardness, unit: 'shoreA' }
			]
		}
	];
}

function size({ sizes }: PartContext): Figure[] {
	const { section, insideDiameter } = sizes;
	if (!section || !insideDiameter || !(section.value > 0) || !(insideDiameter.value > 0)) return [];
	return whichRing(insideDiameter.value, section.value)
		.slice(0, 1)
		.map(({ off, ...nearest }) => ({
			key: 'ringSize',
			value: off,
			unit: 'pieces',
			nearest,
			inputs: [mm('insideDiameterNow', insideDiameter.value), mm('sectionNow', section.value)]
		}));
}
