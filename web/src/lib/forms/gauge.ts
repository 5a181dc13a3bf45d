import { z } from 'zod';
import { gaugeKinds } from '@exetasis/core/part';
import type { Certificate, GaugeFacts, NewGauge } from '@exetasis/server/gauges';
import { dayField, numberField, numberIn, nameField } from './fields';

const spread = { least: 0, most: 1e4 };
const step = { least: 1e-9, most: 1e4 };
const dof = { least: 1, most: 1e6 };
const expansion = { least: 0, most: 100 };
const coverage = { least: 1, most: 10 };

/** What a gauge is worth, in the unit in which its kind reads. */
const facts = {
	name: nameField('Type the name on the gauge.', 80),
	kind: z.enum(gaugeKinds, 'Choose the kind of gauge.'),
	resolution: numberField(step, 'Type the smallest step of the display.'),
	repeatability: numberField(
		spread,
		'Type the standard deviation of repeated readings, or 0 if the certificate includes it.'
	),
	repeatabilityDof: numberField(dof, 'Type the number of repeated readings minus one.'),
	reproducibility: numberField(spread, 'Type the standard deviation between two people, or 0 if unknown.'),
	expansion: numberField(expansion, 'Type the thermal expansion. Steel has 11.5.')
};
const certificate = {
	calibratedOn: dayField,
	dueOn: dayField,
	expandedU: numberField(spread, 'Type the expanded uncertainty of the certificate.'),
	k: numberField(coverage, 'Type the coverage factor of the certificate, most often 2.'),
	certificate: nameField('Type the number of the certificate.', 120)
};
const later = { message: 'The due date must be after the calibration date.', path: ['dueOn'] };

export const gaugeFactsSchema = z.object(facts);
export const certificateSchema = z.object(certificate).refine(({ calibratedOn, dueOn }) => dueOn > calibratedOn, later);
export const newGaugeSchema = z
	.object({ ...facts, ...certificate })
	.refine(({ calibratedOn, dueOn }) => dueOn > calibratedOn, later);

export const factsOf = (typed: z.infer<typeof gaugeFactsSchema>): GaugeFacts => ({
	name: typed.name,
	kind: typed.kind,
	resolution: numberIn(typed.resolution, step),
	repeatability: numberIn(typed.repeatability, spread),
	repeatabilityDof: numberIn(typed.repeatabilityDof, dof),
	reproducibility: numberIn(typed.reproducibility, spread),
	expansionPerKelvin: numberIn(typed.expansion, expansion) * 1e-6
});
export const certificateOf = (typed: z.infer<typeof certificateSchema>): Certificate => ({
	calibratedOn: typed.calibratedOn,
	dueOn: typed.dueOn,
	expandedU: numberIn(typed.expandedU, spread),
	k: numberIn(typed.k, coverage),
	certificate: typed.certificate
});
export const newGaugeOf = (typed: z.infer<typeof newGaugeSchema>): NewGauge => ({
	facts: factsOf(typed),
	certificate: certificateOf(typed)
});
