import { sheetProblems, type SheetProblem, type Station, type Step } from '../record';
import { withoutStep } from './edit';
import type { SheetDraft } from './newSheet';
import { firstSteps, isFirst, withStepsDrafted } from './steps';

/** Where a fault is, for the page to lead there. */
type FaultSubject =
	| { readonly kind: 'part'; readonly key: string; readonly name: string }
	| { readonly kind: 'step'; readonly key: string; readonly name: string }
	| { readonly kind: 'sheet'; readonly field: string };

/** Something that keeps a draft from being a sheet, and what mends it. */
export interface DraftFault {
	readonly subject: FaultSubject;
	readonly message: string;
	/** The draft with this fault mended, if one change mends it for certain. */
	readonly mended?: SheetDraft;
}

type Path = readonly (string | number)[];

/** Lists of keys from which one that leads nowhere is simply taken out. */
const references = new Set([
	'mates',
	'gates',
	'spoils',
	'mayStayIn',
	'stations',
	'after',
	'recalls',
	'offers',
	'unless'
]);

/**
 * What keeps a draft from being a sheet that can be used: missing parts and steps, references that lead nowhere, circles. The
 * order of the first steps is checked here too, because a sheet without lock-out must not be saved from a draft.
 */
export function faultsOf(draft: SheetDraft): DraftFault[] {
	const faults: DraftFault[] = [];
	if (draft.stations.length === 0)
		faults.push({ subject: { kind: 'sheet', field: 'stations' }, message: 'has no parts yet' });
	if (!startsSafely(draft)) {
		const others = draft.steps.filter(({ key }) => key !== 'isolate' && key !== 'release');
		const first = firstSteps(draft.scopes.map(({ key }) => key)).map(
			(step) => draft.steps.find(({ key }) => key === step.key) ?? step
		);
		const mended = { ...draft, steps: [...first, ...others] };
		const message = 'lock-out and release of pressure must come first';
		faults.push({ subject: { kind: 'sheet', field: 'steps' }, message, mended });
	}
	const undrafted = draft.stations.length > 0 && !draft.steps.some(({ stage }) => stage === 'strip');
	if (undrafted)
		faults.push({
			subject: { kind: 'sheet', field: 'steps' },
			message: 'no strip step takes out the parts',
			mended: withStepsDrafted(draft)
		});
	for (const { path, message, code } of sheetProblems(draft)) {
		if (draft.stations.length === 0 && code === 'opensNothing') continue;
		const mended = mendOf(draft, path, code);
		faults.push({ subject: subjectOf(draft, path), message, ...(mended ? { mended } : {}) });
	}
	return faults;
}

/** Whether the sheet begins with lock-out and release of pressure, in every scope. */
function startsSafely({ steps, scopes }: SheetDraft): boolean {
	const [isolate, release] = [steps.at(0), steps.at(1)];
	const inAll = (step: Step | undefined) => step !== undefined && scopes.every(({ key }) => step.scopes.includes(key));
	return (
		isolate?.key === 'isolate' &&
		release?.key === 'release' &&
		[isolate, release].every((step) => inAll(step) && isFirst(step))
	);
}

function subjectOf({ stations, steps }: SheetDraft, [list, at]: Path): FaultSubject {
	const named = (kind: 'part' | 'step', { key, name }: { key: string; name: string }): FaultSubject => ({
		kind,
		key,
		name
	});
	if (list === 'stations' && typeof at === 'number' && stations[at]) return named('part', stations[at]);
	if (list === 'steps' && typeof at === 'number' && steps[at])
		return named('step', { key: steps[at].key, name: steps[at].text });
	return { kind: 'sheet', field: String(list) };
}

function mendOf(draft: SheetDraft, path: Path, code: SheetProblem['code']): SheetDraft | undefined {
	const [list, index, field] = path;
	if (code === 'notTakenOut') return withStepsDrafted(draft);
	if (list === 'stations' && typeof index === 'number') {
		const station = draft.stations[index];
		const change = (next: Partial<Station>): SheetDraft => ({
			...draft,
			stations: draft.stations.with(index, { ...station, ...next })
		});
		if (field === 'face') return change({ face: { toward: 'notStated', reversible: false } });
		if (field === 'in') return change({ in: draft.assemblies[0].key });
		if (code === 'namesItself' && typeof field === 'string')
			return change({ [field]: (station[field as 'mates'] as string[]).filter((key) => key !== station.key) });
	}
	if (list === 'steps' && typeof index === 'number' && field === 'joins')
		return withoutStep(draft, draft.steps[index].key);
	if (references.has(String(path.at(-2))) && typeof path.at(-1) === 'number') return withoutAt(draft, path);
	if (list === 'steps' && field === 'after' && typeof index === 'number') {
		const step = draft.steps[index];
		const earlier = new Set(draft.steps.slice(0, index).map(({ key }) => key));
		const after = step.after.filter((key) => earlier.has(key));
		return { ...draft, steps: draft.steps.with(index, { ...step, after }) };
	}
	return undefined;
}

// A copy of the draft without the list item to which the path leads.
function withoutAt(draft: SheetDraft, path: Path): SheetDraft {
	const cut = (value: unknown, [head, ...rest]: Path): unknown => {
		if (Array.isArray(value))
			return rest.length === 0
				? value.toSpliced(Number(head), 1)
				: value.with(Number(head), cut(value[Number(head)], rest));
		return { ...(value as object), [head]: cut((value as Record<string, unknown>)[head], rest) };
	};
	return cut(draft, path) as SheetDraft;
}
