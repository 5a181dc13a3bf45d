import { json } from '@codemirror/lang-json';
import { HighlightStyle, syntaxHighlighting } from '@codemirror/language';
import { linter, lintGutter, type Diagnostic } from '@codemirror/lint';
import { EditorState } from '@codemirror/state';
import { EditorView } from '@codemirror/view';
import { tags } from '@lezer/highlight';
import { basicSetup } from 'codemirror';
import { readSheet } from '@exetasis/core/record';

interface Opened {
	readonly label: string;
	readonly text: string;
	readonly onchange: (text: string) => void;
}

/** What is wrong with a sheet's text, each fault at its line. */
function faultsIn({ state }: EditorView): Diagnostic[] {
	const text = state.doc.toString();
	if (text.trim() === '') return [];
	const read = readSheet(text);
	if (read.kind === 'sheet') return [];
	return read.faults.map(({ line, path, message }) => {
		const at = state.doc.line(Math.min(Math.max(1, line), state.doc.lines));
		const indent = at.text.length - at.text.trimStart().length;
		return { from: at.from + indent, to: at.to, severity: 'error', message: `${path}: ${message}` };
	});
}

const inspection = EditorView.theme({
	'&': { maxHeight: '30rem', color: 'var(--ink)', fontSize: '13px' },
	'.cm-scroller': { fontFamily: 'var(--figures)', overflow: 'auto' },
	'.cm-gutters': { background: 'var(--paper)', color: 'var(--ink-soft)', border: 'none' },
	'.cm-activeLine, .cm-activeLineGutter': { background: 'color-mix(in oklab, var(--mark) 8%, transparent)' },
	'.cm-cursor': { borderLeftColor: 'var(--ink)' },
	'.cm-tooltip': { background: 'var(--sheet)', color: 'var(--ink)', border: '1px solid var(--ink-soft)' }
});

// In colours of the theme: those that the editor brings cannot be read on a dark ground.
const colours = HighlightStyle.define([
	{ tag: tags.propertyName, color: 'var(--mark)' },
	{ tag: tags.string, color: 'var(--ink)' },
	{ tag: [tags.number, tags.bool, tags.null], color: 'var(--sound)' },
	{ tag: [tags.separator, tags.squareBracket, tags.brace], color: 'var(--ink-soft)' }
]);

/** Opens the editor in an element; the result closes it. In a shadow of its own, where its styles need no style elements. */
export function openEditor(parent: HTMLElement, { label, text, onchange }: Opened): () => void {
	const root = parent.attachShadow({ mode: 'open' });
	const view = new EditorView({
		root,
		parent: root,
		state: EditorState.create({
			doc: text,
			extensions: [
				basicSetup,
				json(),
				syntaxHighlighting(colours),
				lintGutter(),
				linter(faultsIn, { delay: 400 }),
				inspection,
				EditorView.contentAttributes.of({ 'aria-label': label, tabindex: '0' }),
				EditorView.updateListener.of(({ docChanged, state }) => docChanged && onchange(state.doc.toString()))
			]
		})
	});
	return () => view.destroy();
}
