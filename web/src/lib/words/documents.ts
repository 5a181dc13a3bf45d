import type { Attached } from '@exetasis/server/documents/documents';

/** Why a document was not attached, as a sentence that says what to do. */
export function attachSentence(answer: Exclude<Attached, { kind: 'attached' }>): string {
	switch (answer.kind) {
		case 'unknownPlace':
			return 'The sheet has no such step or part any more. Reload the page and choose again.';
		case 'tooMany':
			return `This model has ${answer.most} documents, and no more are kept. Take one away first.`;
		case 'problem':
			return problem[answer.problem];
	}
}

const problem = {
	otherType: 'This is no PDF, PNG or JPEG. Save it as one of these.',
	tooLarge: 'The picture has more than 40 million pixels. Scale it down.',
	tooHeavy: 'The document is larger than 3.5 MB. Save it smaller, or only the pages that are needed.',
	runsPrograms: 'This PDF can run programs, send forms or carry other files. Print it into a PDF anew and attach that.',
	encrypted: 'This PDF is encrypted. Save it without a password or protection and attach that.',
	tooManyPages: 'This PDF has more than 200 pages. Save only the pages that are needed.',
	broken: 'The file is broken and cannot be read to its end. Open it, save it again and attach that.'
} as const;
