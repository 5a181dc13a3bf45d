import { stages, type ModelSheet, type Step } from '../record';
import { defined } from './defined';
import { keyFor } from './keys';
import type { SheetDraft } from './newSheet';

/** A step with nothing in it but this. */
const step = (rest: Pick<Step, 'key' | 'text' | 'stage' | 'scopes'> & Partial<Step>): Step => ({
	sure: 'stated',
	after: [],
	blocking: false,
	stations: [],
	per: 'pump',
	walk: 'station',
	tools: [],
	cautions: [],
	asks: [],
	recalls: [],
	ways: [],
	...rest
});

/** Steps that come before any other work on a pump: they cannot be removed or moved. */
export const firstSteps = (scopes: readonly string[]): Step[] => [
	step({
		key: 'isolate',
		text: 'Isolate the drive and lock it out. Hang your own tag.',
		stage: 'prepare',
		scopes: [...scopes],
		blocking: true,
		cautions: [
			{ hazard: 'electric', text: 'Follow the site rules for lock-out. Only the person who hung a lock takes it off.' }
		]
	}),
	step({
		key: 'release',
		text: 'Release trapped pressure on both sides, drain, and let the pump cool.',
		stage: 'prepare',
		scopes: [...scopes],
		after: ['isolate'],
		blocking: true,
		cautions: [
			{
				hazard: 'pressure',
				text: 'Stored pressure injects fluid through skin and throws parts. Open the drain first and watch it run dry.'
			},
			{ hazard: 'heat', text: 'A pump that has just run scalds: let it cool first.' }
		]
	})
];

const cleaning = (scopes: readonly string[], after: readonly string[], taken: readonly string[]): Step =>
	step({
		key: keyFor('clean', taken),
		text: 'Clean every part. Leave no sealant, scale or gasket behind.',
		stage: 'clean',
		scopes: [...scopes],
		after: [...after],
		cautions: [
			{ hazard: 'chemical', text: 'Cleaning agents: gloves, eye protection, ventilation, as on their data sheets.' }
		]
	});

const proving = (scopes: readonly string[], taken: readonly string[]): Step[] => {
	const turn = keyFor('turn', taken);
	const drips = keyFor('drips', [...taken, turn]);
	return [
		step({
			key: turn,
			text: 'Turn the shaft by hand through whole turns.',
			stage: 'prove',
			scopes: [...scopes],
			cautions: [{ hazard: 'pinch', text: 'Keep fingers clear of plungers and crank.' }],
			asks: [{ kind: 'tick', text: 'Turns freely' }]
		}),
		step({
			key: drips,
			text: 'Prime the pump and bleed it. Raise the pressure in steps and watch for drips.',
			stage: 'prove',
			scopes: [...scopes],
			after: [turn],
			cautions: [{ hazard: 'pressure', text: 'Do not stand in line with a plug or a cap while the pressure rises.' }]
		})
	];
};

/** Parts that come off one after the other from the same assembly, in the same scopes. */
function runsOf(draft: SheetDraft, handled: ReadonlySet<string>): ModelSheet['stations'][] {
	const runs: ModelSheet['stations'][] = [];
	for (const station of draft.stations) {
		if (handled.has(station.key)) continue;
		const run = runs.at(-1);
		const last = run?.at(-1);
		const together =
			last &&
			last.in === station.in &&
			last.per === station.per &&
			last.scopes.join() === station.scopes.join() &&
			run!.length < MOST_IN_STEP;
		if (together) run!.push(station);
		else runs.push([station]);
	}
	return runs;
}

const MOST_IN_STEP = 6;
const inMiddle = (name: string): string => (/^[A-Z][a-z]/.test(name) ? name[0].toLowerCase() + name.slice(1) : name);
const listed = (names: readonly string[]): string =>
	names.length === 1 ? names[0] : `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}`;

/**
 * The draft with a step for all that its steps leave out: the first steps, parts that no strip step takes out, cleaning, and
 * proving. Steps that are there already stay as they are. Parts go back in reverse order unless the sheet says otherwise.
 */
export function withStepsDrafted(draft: SheetDraft): SheetDraft {
	const scopes = draft.scopes.map(({ key }) => key);
	const missing = firstSteps(scopes).filter(({ key }) => !draft.steps.some((step) => step.key === key));
	const steps = [...missing, ...draft.steps];
	const handled = new Set(steps.filter(({ stage }) => stage === 'strip').flatMap(({ stations }) => stations));
	const taken = () => steps.map(({ key }) => key);
	const end = (stages: readonly Step['stage'][]): number =>
		steps.findLastIndex(({ stage }) => stages.includes(stage)) + 1;
	for (const run of runsOf(draft, handled)) {
		const names = listed(run.map(({ name }) => inMiddle(name)));
		const drafted = step({
			key: keyFor(`${run[0].key} off`, taken()),
			text: `Take off ${names}${run[0].per === 'cylinder' ? ', cylinder by cylinder' : ''}.`.slice(0, 400),
			stage: 'strip',
			scopes: [...run[0].scopes],
			after: steps.some(({ key }) => key === 'release') ? ['release'] : [],
			per: run[0].per,
			stations: run.map(({ key }) => key)
		});
		steps.splice(end(['prepare', 'strip']), 0, drafted);
	}
	const strips = steps.some(({ stage }) => stage === 'strip');
	if (strips && !steps.some(({ stage }) => stage === 'clean'))
		steps.splice(end(['prepare', 'strip']), 0, cleaning(scopes, [], taken()));
	if (strips && !steps.some(({ stage }) => stage === 'prove')) steps.push(...proving(scopes, taken()));
	return { ...draft, steps };
}

/** The draft with every step confirmed for this pump. */
export const withStepsConfirmed = (draft: SheetDraft): SheetDraft => ({
	...draft,
	steps: draft.steps.map((step) => ({ ...step, sure: 'stated' }))
});

/**
 * The draft with its steps in the order of these keys. The first steps stay first, and a step stays in its stage: one that is put
 * among those of another stage becomes the first or the last of its own.
 */
export function withStepOrder(draft: SheetDraft, keys: readonly string[]): SheetDraft {
	const place = new Map(keys.map((key, i) => [key, i]));
	const rank = (step: Step) => [stages.indexOf(step.stage), isFirst(step) ? 0 : 1, place.get(step.key) ?? -1];
	const compare = (a: Step, b: Step) => {
		const [x, y] = [rank(a), rank(b)];
		const differs = x.findIndex((value, i) => value !== y[i]);
		return differs < 0 ? 0 : x[differs] - y[differs];
	};
	const first = draft.steps.filter((step) => isFirst(step));
	const others = draft.steps.filter((step) => !isFirst(step));
	return { ...draft, steps: [...first, ...others.toSorted(compare)] };
}

/**
 * The draft with a step at each part of this one, one after the other. The last one keeps the key, the questions and what waits
 * for it; cautions and the place of the crank stand at each. A step of fewer than two parts changes nothing.
 */
export function withStepSplit(draft: SheetDraft, key: string): SheetDraft {
	const at = draft.steps.findIndex((step) => step.key === key);
	const whole = draft.steps.at(at);
	if (at < 0 || !whole || whole.stations.length < 2) return draft;
	const taken = draft.steps.map((step) => step.key);
	const names = new Map([...draft.stations, ...draft.subAssemblies].map((named) => [named.key, inMiddle(named.name)]));
	const textOf = (part: string) => `${whole.stage === 'build' ? 'Fit' : 'Take off'} ${names.get(part) ?? part}.`;
	const { stage, sure, scopes, per, walk, cautions, crank, onlyWith, at: where } = whole;
	const before: Step[] = [];
	for (const part of whole.stations.slice(0, -1)) {
		const own = keyFor(`${key} ${part}`, taken);
		taken.push(own);
		const after = before.at(-1) ? [before.at(-1)!.key] : whole.after;
		const shared = defined({ stage, sure, scopes, per, walk, cautions, crank, onlyWith, at: where });
		before.push(step({ ...shared, key: own, text: textOf(part), after, stations: [part] }));
	}
	const part = whole.stations.at(-1)!;
	const last = { ...whole, text: textOf(part), after: [before.at(-1)!.key], stations: [part] };
	return { ...draft, steps: draft.steps.toSpliced(at, 1, ...before, last) };
}

/** Whether a step is one of the first, which stay first. */
export const isFirst = ({ key, blocking }: Pick<Step, 'key' | 'blocking'>): boolean =>
	blocking || key === 'isolate' || key === 'release';

/** The draft with an empty step of this stage behind the last one of it; answers its key. */
export function withNewStep(draft: SheetDraft, stage: Step['stage'], text: string): { draft: SheetDraft; key: string } {
	const key = keyFor(
		text,
		draft.steps.map((step) => step.key)
	);
	const at = draft.steps.findLastIndex((step) => stages.indexOf(step.stage) <= stages.indexOf(stage)) + 1;
	const added = step({ key, text, stage, scopes: draft.scopes.map((scope) => scope.key) });
	return { draft: { ...draft, steps: draft.steps.toSpliced(at, 0, added) }, key };
}
