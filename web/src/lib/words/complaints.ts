import type { Complaint } from '@exetasis/core/record';

export const complaintName: Readonly<Record<Complaint, string>> = {
	leakFront: 'Leak at the plungers',
	leakJoint: 'Leak at a joint',
	leakOil: 'Oil leak',
	pressureLow: 'Pressure low',
	pulsing: 'Pulsating pressure',
	noise: 'Noise',
	oilMilky: 'Milky oil',
	oilMetal: 'Metal in the oil',
	hot: 'Runs hot',
	planned: 'Planned service'
};
