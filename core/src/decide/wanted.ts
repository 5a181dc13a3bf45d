import { partType } from '../part';
import { discardLimit, type PartRecord, type SheetCharacteristic, type Station } from '../record';
import type { Policy } from './policy';

/**
 * The sizes that have to be measured on a part as it lies there, in the order of the sheet.
 *
 * Always those that the sheet says; what it asks only on suspicion once a finding calls for it: one that it names, or any
 * where it names none (forms and sizes without a limit are then left to the technician). What a spring has to show is the
 * shop's policy: nothing but what the hand says, its length, or its load.
 */
export const wantedSizes = (station: Station, record: PartRecord, policy: Policy): SheetCharacteristic[] =>
	station.characteristics.filter((sheet) => isWanted(station, record, policy, sheet));

function isWanted(station: Station, { findings }: PartRecord, policy: Policy, sheet: SheetCharacteristic): boolean {
	const { key, when, suspect } = sheet;
	const { inspectedBy } = partType(station.type);
	if (inspectedBy && (key === inspectedBy.length || key === inspectedBy.load)) {
		if (policy.springs === 'feel') return false;
		if (key === inspectedBy[policy.springs]) return true;
	}
	if (when === 'always') return true;
	if (suspect) return findings.some(({ payload }) => suspect.includes(payload.pattern));
	return findings.length > 0 && discardLimit(sheet) !== undefined && !isForm(station, key);
}

const isForm = ({ type }: Station, key: string): boolean =>
	partType(type).characteristics.find((characteristic) => characteristic.key === key)?.form !== undefined;
