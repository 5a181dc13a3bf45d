import type { UnitPreference } from '@exetasis/core/quantity';
import type { Chosen } from '@exetasis/core/record';
import type { Story } from './stories';

/** Harrow Sound Pump Works: a made-up shop on a made-up archipelago. Every name and number here is invented. */
export const shop = { name: 'Harrow Sound Pump Works', currency: 'EUR' };

export const sites = [
	'Ferry Lantern',
	'Ferry Oyster Light',
	'Hotel Saltholm',
	'Hotel Brackwater',
	'Net barge Kestrel',
	'Net barge Fulmar',
	'Quarry Greyback',
	'Quarry Stonehythe'
];

interface Person {
	readonly key: string;
	readonly name: string;
	readonly email: string;
	readonly role: 'technician' | 'lead' | 'viewer';
	readonly units?: UnitPreference;
	/** What goes wrong under this hand, which no one has noticed yet. */
	readonly habit?: 'pinchesRetainerORing';
}

/** The password of all demo accounts; the sign-in page says it, and only where demo data are loaded. */
export const demoPassword = 'harrow-sound';

export const people: readonly Person[] = [
	{ key: 'ines', name: 'Ines Tarn', email: 'ines@harrow.example', role: 'technician' },
	{
		key: 'odd',
		name: 'Odd Veller',
		email: 'odd@harrow.example',
		role: 'technician',
		habit: 'pinchesRetainerORing'
	},
	{ key: 'mara', name: 'Mara Quill', email: 'mara@harrow.example', role: 'lead' },
	{ key: 'bo', name: 'Bo Farrier', email: 'bo@harrow.example', role: 'viewer' }
];

/** A second shop, so that one can see that shops do not see each other. */
export const otherShop = {
	name: 'Skerry Mechanical (second demo shop)',
	currency: 'EUR',
	lead: { name: 'Una Brandt', email: 'una@skerry.example', role: 'lead' as const }
};

/** The drawer of shims. */
export const shims = [
	{ thicknessMm: 0.05, count: 4 },
	{ thicknessMm: 0.1, count: 4 },
	{ thicknessMm: 0.2, count: 4 },
	{ thicknessMm: 0.5, count: 2 }
] as const;

interface Gauge {
	readonly name: string;
	readonly kind: string;
	readonly resolution: number;
	readonly repeatability: number;
	readonly reproducibility: number;
	readonly expandedU: number;
	/** Months from the demo's end back to the calibration; it is good for twelve. */
	readonly calibratedMonthsAgo: number;
}

export const gauges: readonly Gauge[] = [
	{
		name: 'Micrometer 0–25 no. 1',
		kind: 'micrometer',
		resolution: 0.001,
		repeatability: 0.0012,
		reproducibility: 0.0008,
		expandedU: 0.002,
		calibratedMonthsAgo: 4
	},
	{
		name: 'Micrometer 0–25 no. 2',
		kind: 'micrometer',
		resolution: 0.01,
		repeatability: 0.004,
		reproducibility: 0.002,
		expandedU: 0.004,
		calibratedMonthsAgo: 14
	},
	{
		name: 'Caliper 150',
		kind: 'caliper',
		resolution: 0.01,
		repeatability: 0.012,
		reproducibility: 0.008,
		expandedU: 0.03,
		calibratedMonthsAgo: 7
	},
	{
		name: 'Depth gauge',
		kind: 'depth gauge',
		resolution: 0.01,
		repeatability: 0.015,
		reproducibility: 0.01,
		expandedU: 0.03,
		calibratedMonthsAgo: 7
	},
	{
		name: 'Pin gauges 17–19',
		kind: 'pin gauge',
		resolution: 0.02,
		repeatability: 0.012,
		reproducibility: 0.01,
		expandedU: 0.004,
		calibratedMonthsAgo: 10
	},
	{
		name: 'Bore gauge 18–30',
		kind: 'bore gauge',
		resolution: 0.002,
		repeatability: 0.004,
		reproducibility: 0.003,
		expandedU: 0.006,
		calibratedMonthsAgo: 3
	},
	{
		name: 'Feeler gauges',
		kind: 'feeler gauge',
		resolution: 0.01,
		repeatability: 0.006,
		reproducibility: 0.006,
		expandedU: 0.006,
		calibratedMonthsAgo: 11
	},
	{
		name: 'Loupe with scale',
		kind: 'loupe',
		resolution: 0.05,
		repeatability: 0.03,
		reproducibility: 0.03,
		expandedU: 0.02,
		calibratedMonthsAgo: 8
	},
	{
		name: 'Durometer A',
		kind: 'durometer',
		resolution: 0.5,
		repeatability: 0.8,
		reproducibility: 0.6,
		expandedU: 1,
		calibratedMonthsAgo: 5
	},
	{
		name: 'Spring tester',
		kind: 'spring tester',
		resolution: 0.1,
		repeatability: 0.12,
		reproducibility: 0.05,
		expandedU: 0.2,
		calibratedMonthsAgo: 2
	},
	{
		name: 'Micrometer 25–50',
		kind: 'micrometer',
		resolution: 0.001,
		repeatability: 0.0015,
		reproducibility: 0.001,
		expandedU: 0.003,
		calibratedMonthsAgo: 5
	},
	{
		name: 'Bore gauge 20–35',
		kind: 'bore gauge',
		resolution: 0.002,
		repeatability: 0.004,
		reproducibility: 0.003,
		expandedU: 0.006,
		calibratedMonthsAgo: 6
	},
	{
		name: 'Dial indicator',
		kind: 'dial indicator',
		resolution: 0.001,
		repeatability: 0.0015,
		reproducibility: 0.001,
		expandedU: 0.003,
		calibratedMonthsAgo: 6
	},
	{
		name: 'Roughness tester',
		kind: 'roughness tester',
		resolution: 0.01,
		repeatability: 0.012,
		reproducibility: 0.01,
		expandedU: 0.03,
		calibratedMonthsAgo: 9
	},
	{
		name: 'Radius gauges',
		kind: 'radius gauge',
		resolution: 0.05,
		repeatability: 0.02,
		reproducibility: 0.02,
		expandedU: 0.02,
		calibratedMonthsAgo: 11
	},
	{
		name: 'Protractor',
		kind: 'protractor',
		resolution: 0.5,
		repeatability: 0.3,
		reproducibility: 0.3,
		expandedU: 0.4,
		calibratedMonthsAgo: 11
	},
	{
		name: 'Digital test gauge 40 MPa',
		kind: 'pressure gauge',
		resolution: 0.01,
		repeatability: 0.008,
		reproducibility: 0.004,
		expandedU: 0.03,
		calibratedMonthsAgo: 5
	},
	{
		name: 'Scale 200 g',
		kind: 'scale',
		resolution: 0.01,
		repeatability: 0.01,
		reproducibility: 0.005,
		expandedU: 0.02,
		calibratedMonthsAgo: 3
	},
	{
		name: 'Hold-test gauge',
		kind: 'leak tester',
		resolution: 0.02,
		repeatability: 0.02,
		reproducibility: 0.01,
		expandedU: 0.04,
		calibratedMonthsAgo: 5
	},
	{
		name: 'Comparison chart',
		kind: 'comparison chart',
		resolution: 0.01,
		repeatability: 0.012,
		reproducibility: 0.015,
		expandedU: 0.02,
		calibratedMonthsAgo: 10
	},
	{
		name: 'Counting by eye',
		kind: 'count by eye',
		resolution: 0.25,
		repeatability: 0.1,
		reproducibility: 0.1,
		expandedU: 0.1,
		calibratedMonthsAgo: 10
	}
];

/** Tools that tighten and measure at once; no size of a part is read with them. */
export const wrenches: readonly Gauge[] = [
	{
		name: 'Torque wrench 10–60 N·m',
		kind: 'torque wrench',
		resolution: 0.5,
		repeatability: 0.3,
		reproducibility: 0.3,
		expandedU: 1,
		calibratedMonthsAgo: 9
	}
];

export interface DemoPump {
	readonly serial: string;
	readonly model: string;
	readonly tag: string;
	readonly site: string;
	readonly liquid: string;
	readonly pressureMPa: number;
	/** Hours run in a year. */
	readonly hoursAYear: number;
	/** How hard this duty wears, 1 = ordinary. */
	readonly harshness: number;
	readonly story?: Story;
	/** How far its jobs go, where its sheet has no full rebuild. */
	readonly scope?: string;
	/** What it is made of, where its sheet asks. */
	readonly variants?: Chosen;
}

const pump = (
	serial: string,
	tag: string,
	site: string,
	liquid: string,
	pressureMPa: number,
	hoursAYear: number,
	harshness: number,
	story?: Story,
	model = 'Marram'
): DemoPump => ({ serial, model, tag, site, liquid, pressureMPa, hoursAYear, harshness, story });

export const pumps: readonly DemoPump[] = [
	pump('MAR-0107', 'Port set', 'Ferry Lantern', 'Seawater', 6, 4200, 1),
	pump('MAR-0108', 'Starboard set', 'Ferry Lantern', 'Seawater', 6, 4000, 1.05),
	pump('MAR-0131', 'Day tank', 'Ferry Oyster Light', 'Seawater', 6, 4600, 1.1, 'cavitatesInSummer'),
	pump('MAR-0164', 'House pump', 'Hotel Saltholm', 'Seawater', 5.8, 5200, 0.9),
	pump('MAR-0165', 'Standby', 'Hotel Saltholm', 'Seawater', 5.8, 2600, 0.9),
	pump('MAR-0190', 'House pump', 'Hotel Brackwater', 'Brackish water', 4.5, 5000, 0.8),
	pump('MAR-0212', 'Washer 1', 'Net barge Kestrel', 'Seawater', 11, 3600, 1.3, 'oneSidedCylinder2'),
	pump('MAR-0213', 'Washer 2', 'Net barge Kestrel', 'Seawater', 11, 3500, 1.25),
	pump('MAR-0240', 'Washer', 'Net barge Fulmar', 'Seawater', 11, 3400, 1.3),
	pump('MAR-0255', 'Line A', 'Quarry Greyback', 'Pond water', 9, 3000, 1.4, 'filterBypassed'),
	pump('MAR-0256', 'Line B', 'Quarry Greyback', 'Pond water', 9, 3200, 1.4, 'scoredPlungerKept'),
	pump('MAR-0270', 'Gate', 'Quarry Stonehythe', 'Pond water', 8, 2800, 1.2),
	// One pump of each of four other layouts.
	pump('THR-0031', 'Galley', 'Ferry Oyster Light', 'Fresh water', 3.5, 900, 1, undefined, 'Thrift'),
	pump('BRA-0009', 'Net wash', 'Net barge Fulmar', 'Seawater', 12, 1000, 1.1, undefined, 'Bracken'),
	{
		...pump('COM-0107', 'Dosing', 'Hotel Brackwater', 'Brine', 2.4, 900, 1, undefined, 'Comfrey'),
		variants: { manifold: 'plastic', retainers: 'plastic', dampers: 'none', supportPlate: 'fitted' }
	},
	pump('SED-0418', 'Yard', 'Quarry Stonehythe', 'Pond water', 7, 800, 1.2, 'metalInOil', 'Sedge')
];

/** Two pumps of each further layout, and a second one of those above: too few for a fleet, so their sheets' priors speak. */
export const layoutPumps: readonly DemoPump[] = [
	pump('BUL-0020', 'Galley', 'Ferry Lantern', 'Fresh water', 9, 1000, 1, undefined, 'Bulrush'),
	pump('BUL-0038', 'Laundry', 'Hotel Saltholm', 'Fresh water', 9, 1060, 1.1, undefined, 'Bulrush'),
	pump('CAM-0054', 'Deck wash', 'Net barge Kestrel', 'Seawater', 4, 1120, 1.2, undefined, 'Campion'),
	pump('CAM-0072', 'Dust line', 'Quarry Greyback', 'Seawater', 4, 1180, 0.9, undefined, 'Campion'),
	pump('FES-0088', 'Fire main', 'Ferry Oyster Light', 'Fresh water', 11, 1240, 1, undefined, 'Fescue'),
	pump('FES-0106', 'Kitchen', 'Hotel Brackwater', 'Fresh water', 11, 1000, 1.1, undefined, 'Fescue'),
	{
		...pump('GOR-0122', 'Feed line', 'Net barge Fulmar', 'Fresh water', 10, 1060, 1.2, undefined, 'Gorse'),
		variants: { guide: ['flat', 'flat', 'flat'] }
	},
	{
		...pump('GOR-0140', 'Wheel wash', 'Quarry Stonehythe', 'Fresh water', 10, 1120, 0.9, undefined, 'Gorse'),
		variants: { guide: ['u', 'u', 'u'] }
	},
	pump('HEA-0156', 'Galley', 'Ferry Lantern', 'Brackish water', 12, 1180, 1, undefined, 'Heather'),
	pump('HEA-0174', 'Laundry', 'Hotel Saltholm', 'Brackish water', 12, 1240, 1.1, undefined, 'Heather'),
	pump('JUN-0190', 'Deck wash', 'Net barge Kestrel', 'Fresh water', 9, 1000, 1.2, undefined, 'Juniper'),
	pump('JUN-0208', 'Dust line', 'Quarry Greyback', 'Fresh water', 9, 1060, 0.9, undefined, 'Juniper'),
	pump('LAR-0224', 'Fire main', 'Ferry Oyster Light', 'Seawater', 7, 1120, 1, undefined, 'Larch'),
	pump('LAR-0242', 'Kitchen', 'Hotel Brackwater', 'Seawater', 7, 1180, 1.1, undefined, 'Larch'),
	pump('MAL-0258', 'Feed line', 'Net barge Fulmar', 'Brine', 7, 1240, 1.2, undefined, 'Mallow'),
	pump('MAL-0276', 'Wheel wash', 'Quarry Stonehythe', 'Brine', 7, 1000, 0.9, undefined, 'Mallow'),
	{ ...pump('NET-0292', 'Galley', 'Ferry Lantern', 'Pond water', 16, 1060, 1, undefined, 'Nettle'), scope: 'valves' },
	{
		...pump('NET-0310', 'Laundry', 'Hotel Saltholm', 'Pond water', 16, 1120, 1.1, undefined, 'Nettle'),
		scope: 'valves'
	},
	{
		...pump('ORA-0326', 'Deck wash', 'Net barge Kestrel', 'Fresh water', 10, 1180, 1.2, undefined, 'Orache'),
		scope: 'drive'
	},
	{
		...pump('ORA-0344', 'Dust line', 'Quarry Greyback', 'Fresh water', 10, 1240, 0.9, undefined, 'Orache'),
		scope: 'drive'
	},
	pump('THR-0080', 'Fire main', 'Ferry Oyster Light', 'Fresh water', 3.5, 1000, 1, undefined, 'Thrift'),
	pump('BRA-0081', 'Kitchen', 'Hotel Brackwater', 'Seawater', 12, 1000, 1, undefined, 'Bracken'),
	{
		...pump('COM-0082', 'Feed line', 'Net barge Fulmar', 'Brine', 2.4, 1000, 1, undefined, 'Comfrey'),
		variants: { manifold: 'castIron', retainers: 'metal', dampers: 'fitted', supportPlate: 'none' }
	},
	pump('SED-0083', 'Wheel wash', 'Quarry Stonehythe', 'Pond water', 7, 1000, 1, undefined, 'Sedge')
];
