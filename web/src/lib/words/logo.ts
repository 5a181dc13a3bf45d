import { LOGO_MOST } from '@exetasis/core/record';
import type { LogoProblem } from '@exetasis/server/letterhead';

/** Why a logo was not taken, and what to do. */
export const logoSentence: Readonly<Record<LogoProblem, string>> = {
	tooHeavy: `This file is larger than ${LOGO_MOST.bytes / 1e6} MB. Choose a smaller picture.`,
	notAPicture: 'This file is not a picture. Choose a PNG, JPEG or WebP file.',
	tooLarge: `This picture has more than ${LOGO_MOST.pixels / 1e6} million pixels. Choose a smaller one.`
};
