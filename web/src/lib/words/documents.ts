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
	withMetadata: 'The picture says where or when it was taken. Save it without that, as a PNG for instance.',
	tooLarge: 'The picture is longer than 12 000 pixels. Scale it down.',
	tooHeavy: 'The document is larger than 3.5 MB. Save it smaller, or only the pages that are needed.',
	runsPrograms: 'This PDF can run programs, send forms or carry other files. Print it into a PDF anew and attach that.',
	broken: 'The file is broken: its end or its head is missing. Open it, save it again and attach that.'
} as const;
