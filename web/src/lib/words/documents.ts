import type { Attached } from '@exetasis/server/documents/documents';

/** Why a document was not attached, as a sentence that says what to do. */
export function attachSentence(answer: Exclude<Attached, { kind: 'attached' }>): string {
	switch (answer.kind) {
		case 'unknownPlace':
			return 'This step or part is no longer on the sheet. Reload the page and choose again.';
		case 'tooMany':
			return `This model already has ${answer.most} documents, which is the limit. Delete one first.`;
		case 'problem':
			return problem[answer.problem];
	}
}

const problem = {
	otherType: 'This file is not a PDF, PNG or JPEG. Save it as one of these.',
	tooLarge: 'The picture has more than 40 million pixels. Scale it down.',
	tooHeavy: 'The document is larger than 3.5 MB. Save it smaller, or save only the pages you need.',
	runsPrograms: 'This PDF contains programs, forms or other files. Print it to a new PDF and attach that.',
	encrypted: 'This PDF is encrypted. Save it without a password and attach that.',
	tooManyPages: 'This PDF has more than 200 pages. Save only the pages you need.',
	broken: 'The file is damaged. Open it, save it again and attach that.'
} as const;
