import type { UnitPreference } from '@exetasis/core/quantity';
import type { ImportRefused } from '@exetasis/server/jobFile/refused';
import { refusalSentence } from './problems';

const SHOWN = 120;

/** Why a job file was not taken in, and what to do. Nothing of it is kept. */
export function importSentence(refused: ImportRefused, units: UnitPreference): string {
	switch (refused.kind) {
		case 'fault':
			return refused.path === '(text)'
				? 'This is no job file: its text could not be read. Choose the .json that a job was handed out as.'
				: `This is no job file of version 1: “${refused.path.slice(0, SHOWN)}”: ${refused.message.slice(0, SHOWN)}. Ask whoever made it for it anew.`;
		case 'otherSheet':
			return `Your shop has a revision ${refused.revision} of ${refused.model} that says something else. Ask for the job with a sheet of another revision.`;
		case 'pumpKnown':
			return `Your shop knows the pump ${refused.serial}: what its parts have run would be told twice. Nothing was taken in.`;
		case 'otherGauge':
			return `Your shop has another gauge called “${refused.name}”. Rename yours under Gauges, then take the job in.`;
		case 'wrongPart':
			return `What is said of the part at “${refused.place.slice(0, SHOWN)}” does not fit: the sheet has no such place, it is there twice, or it went and nothing came.`;
		case 'wrongEntry':
			return `The entry ${refused.id} of its log cannot be: ${refusalSentence(refused.problem, units)}`;
		case 'unknownName':
			return `Its log speaks of “${refused.name.slice(0, SHOWN)}”, which the file does not hold.`;
		case 'wrongPhoto':
			return `The photograph ${refused.sha256.slice(0, 12)}… is not the one that it is named after, or cannot be kept.`;
		case 'entriesTaken':
			return 'Entries of its log are in another job of your shop already, or there twice.';
		case 'unworkable':
			return 'It is well formed, and yet a part of it cannot be stored or judged. Ask whoever made it for it anew.';
	}
}
