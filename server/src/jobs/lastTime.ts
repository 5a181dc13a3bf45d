import { Op } from 'sequelize';
import { fold, type Answer, type Ask } from '@exetasis/core/record';
import { entriesOf } from '../benchLog/entries';
import { of, type ShopScope } from '../db/scope';
import { pinnedSheet } from '../sheets';

/** What was measured at a step of the pump's last rebuild, and the remarks that were kept. */
export interface LastTime {
	readonly receivedAt: Date;
	readonly readings: readonly { readonly question: string; readonly value: Answer['payload']['value'] }[];
	readonly notes: readonly string[];
}

// A setting as it was left is what the pump ran with since.
const questionOf = (ask: Ask | undefined): string | undefined =>
	ask?.kind === 'readings' ? ask.text : ask?.kind === 'setting' && ask.when === 'left' ? ask.name : undefined;

/** The last rebuild of the same pump that was released before this job came in; undefined where there is none. */
export async function lastTimeOf(
	scope: ShopScope,
	{ pumpId, receivedAt }: { readonly pumpId: string; readonly receivedAt: Date }
): Promise<LastTime | undefined> {
	const before = { pumpId, receivedAt: { [Op.lt]: receivedAt }, releasedAt: { [Op.ne]: null } };
	const last = await of(scope, 'job').one(before, { order: [['receivedAt', 'DESC']] });
	if (!last) return undefined;
	const sheet = await pinnedSheet(scope, last.modelSheetId);
	const entries = await entriesOf(scope, last.id, { kinds: ['answer', 'note', 'withdraw'] });
	const { answers, notes, parts } = fold(entries);
	return {
		receivedAt: last.receivedAt,
		readings: [...answers.values()].flatMap(({ payload: { step, ask, value } }) => {
			const question = questionOf(sheet.steps.find(({ key }) => key === step)?.asks.at(ask));
			return question === undefined ? [] : [{ question, value }];
		}),
		notes: [...notes, ...[...parts.values()].flatMap((part) => part.notes)].map(({ payload }) => payload.text)
	};
}
