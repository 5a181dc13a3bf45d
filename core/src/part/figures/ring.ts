/** Figures of O-rings and flat seals: set, squeeze, stretch, fill, swell, hardness, size. */
import { compressionSet, glandFill, squeeze, stretch, swell, swellByMass, whichRing } from '../../mechanics';
import { figureOr } from './figure';
import type { Figure, Input, PartContext } from '../partType';

const mm = (name: string, value: number): Input => ({ name, value, unit: 'mm' });

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
		name: 'Compression set',
		value: compressionSet({ asNew: start, found: now.value, gland }),
		u: now.u / (start - gland),
		unit: 'share',
		...(design.mostSet === undefined ? {} : { limit: { max: design.mostSet } }),
		inputs: [mm('As new', start), mm('As found', now.value), mm('Gland depth', gland)],
		method: '(t₀ − t₁)/(t₀ − t_g) (ISO 815-1)'
	});
}

function inGland({ sizes, design }: PartContext): Figure[] {
	const { section, insideDiameter } = sizes;
	const { glandDepth, glandWidth, grooveDiameter } = design;
	const figures: Figure[] = [];
	if (section && section.value > 0 && glandDepth !== undefined) {
		const inputs = [mm('Section now', section.value), mm('Gland depth', glandDepth)];
		figures.push({
			key: 'squeeze',
			name: 'Squeeze left in the gland',
			value: squeeze(section.value, glandDepth),
			u: (glandDepth * section.u) / section.value ** 2,
			unit: 'share',
			limit: { min: 0 },
			inputs,
			method: '(t − t_g)/t (ISO 3601-2)'
		});
		if (glandWidth !== undefined)
			figures.push({
				key: 'glandFill',
				name: 'Gland filled',
				value: glandFill(section.value, glandDepth, glandWidth),
				unit: 'share',
				limit: { max: 1 },
				inputs: [...inputs, mm('Gland width', glandWidth)],
				method: '(π/4)·t²/(depth·width) (ISO 3601-2)'
			});
	}
	if (insideDiameter && insideDiameter.value > 0 && grooveDiameter !== undefined)
		figures.push({
			key: 'stretch',
			name: 'Stretch on its groove',
			value: stretch(insideDiameter.value, grooveDiameter),
			unit: 'share',
			inputs: [mm('Inside diameter now', insideDiameter.value), mm('Groove diameter', grooveDiameter)],
			method: '(groove − inside diameter)/inside diameter (ISO 3601-2)'
		});
	return figures;
}

function swelling({ sizes, asNew }: PartContext): Figure[] {
	const figures: Figure[] = [];
	if (sizes.mass && asNew.mass! > 0 && sizes.mass.value > 0)
		figures.push({
			key: 'swellByMass',
			name: 'Swell by mass',
			value: swellByMass(sizes.mass.value, asNew.mass!),
			unit: 'share',
			inputs: [
				{ name: 'Mass now', value: sizes.mass.value, unit: 'g' },
				{ name: 'Mass as new', value: asNew.mass!, unit: 'g' }
			],
			method: 'm/m₀ − 1 (ISO 1817)'
		});
	const { section } = sizes;
	if (section && asNew.section! > 0 && section.value > asNew.section!)
		figures.push({
			key: 'swell',
			name: 'Swell by section',
			value: swell(section.value, asNew.section!),
			unit: 'share',
			inputs: [mm('Section now', section.value), mm('Section as new', asNew.section!)],
			method: '(t/t₀)² − 1 (after ISO 1817)'
		});
	return figures;
}

function hardening({ sizes, asNew }: PartContext): readonly Figure[] {
	const { hardness } = sizes;
	if (!hardness || asNew.hardness === undefined) return [];
	return [
		{
			key: 'hardening',
			name: 'Hardness gained',
			value: hardness.value - asNew.hardness,
			u: hardness.u,
			unit: 'shoreA',
			inputs: [
				{ name: 'Now', value: hardness.value, unit: 'shoreA' },
				{ name: 'As new', value: asNew.hardness, unit: 'shoreA' }
			],
			method: 'Now − as new (ISO 48-4); below 0 it has softened'
		}
	];
}

function size({ sizes }: PartContext): Figure[] {
	const { section, insideDiameter } = sizes;
	if (!section || !insideDiameter || !(section.value > 0) || !(insideDiameter.value > 0)) return [];
	return whichRing(insideDiameter.value, section.value)
		.slice(0, 1)
		.map((ring) => ({
			key: 'ringSize',
			name: `Nearest size of the series: dash ${ring.dash}, ${ring.insideDiameter.toFixed(2)} × ${ring.section.toFixed(2)} mm; off by`,
			value: ring.off,
			unit: 'pieces' as const,
			inputs: [mm('Inside diameter now', insideDiameter.value), mm('Section now', section.value)],
			method: 'In tolerances of ISO 3601-1, a fifth of set allowed for; above 2 it is not of the series (AS568)'
		}));
}
