import type { ImportRefused } from '@exetasis/server/jobFile/refused';
import type { Format } from '../format/numbers';
import { refusalSentence } from './problems';

const SHOWN = 120;

/** Why a job file was not taken in, and what to do. Nothing of it is kept. */
export function importSentence(refused: ImportRefused, format: Format): string {
	switch (refused.kind) {
		case 'fault':
			return refused.path === '(text)'
				? 'This file is not a job file or is damaged. Choose the .json file that was exported from a job.'
				: `This is not a valid job file (version 1). “${refused.path.slice(0, SHOWN)}”: ${refused.message.slice(0, SHOWN)}. Ask the sender to export it again.`;
		case 'otherSheet':
			return `Your shop has a different revision ${refused.revision} of ${refused.model}. Ask the sender for the job with another revision of the sheet.`;
		case 'pumpKnown':
			return `Your shop already has the pump ${refused.serial}. Importing the job would count its hours twice. Nothing was imported.`;
		case 'otherGauge':
			return `Your shop has another gauge called “${refused.name}”. Rename yours under Gauges, then import the job.`;
		case 'wrongPart':
			return `The part at “${refused.place.slice(0, SHOWN)}” is not valid: the place is not on the sheet, occurs twice, or has no new part after a removal.`;
		case 'wrongEntry':
			return `The entry ${refused.id} is not valid. ${refusalSentence(refused.problem, format)}`;
		case 'unknownName':
			return `The log names “${refused.name.slice(0, SHOWN)}”, which is not in the file.`;
		case 'wrongPhoto':
			return `The photograph ${refused.sha256.slice(0, 12)}… is damaged or has the wrong name.`;
		case 'entriesTaken':
			return 'Some of its entries occur twice, or are already in another job of your shop.';
		case 'unworkable':
			return 'The file is valid, but part of it cannot be stored or judged. Ask the sender to export it again.';
	}
}
