import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parse } from 'svelte/compiler';
import ts from 'typescript';
import { expect, it } from 'vitest';

const MOST_WORDS = 25;
const advisedAgainst =
	/\b(nobody|somebody|anybody|whoever|whatever|anew|odds|on record|looked at|look again|handed out|taken in|take it in|let go|count(?:s|ed)? twice|goes by|dear|dearest|reckons?|meanwhile|of which|till)\b/i;
const web = fileURLToPath(new URL('../../', import.meta.url));

const files = (readdirSync(web, { recursive: true }) as string[])
	.filter((file) => /\.(svelte|ts)$/.test(file) && !/\.test\.ts$|workers\//.test(file))
	.map((file) => join(web, file));

interface Node {
	readonly type?: string;
	readonly name?: string;
	readonly data?: string;
	readonly [key: string]: unknown;
}
// Attributes whose text is read by a person.
const READ = /^(label|title|aria-label|placeholder|hint|empty|what|says|head|across|up|y|act|name)$/;

/** Texts and attribute texts of a component's markup. Texts around an expression are one text. */
function textsOf(fragment: unknown): string[] {
	const texts: string[] = [];
	const walk = (node: Node | (Node | null)[] | null): void => {
		if (Array.isArray(node)) {
			const plain = node
				.filter((text) => text !== null)
				.filter(({ type }) => type === 'Text' || type === 'ExpressionTag');
			if (plain.length > 0) texts.push(plain.map(({ type, data }) => (type === 'Text' ? data : '…')).join(''));
			return node.forEach((child) => child?.type !== 'Text' && walk(child));
		}
		if (!node || typeof node !== 'object' || node.type === 'StyleSheet' || node.type === 'Comment') return;
		if (node.type === 'Attribute' && !READ.test(node.name ?? '')) return;
		if (node.type === 'Literal') return void (typeof node.value === 'string' && texts.push(node.value));
		if (node.type === 'TemplateLiteral')
			return void texts.push(
				(node.quasis as { value: { cooked: string } }[]).map(({ value }) => value.cooked).join('…')
			);
		for (const [key, value] of Object.entries(node))
			if (value && typeof value === 'object' && key !== 'metadata' && key !== 'loc') walk(value as Node);
	};
	walk(fragment as Node);
	return texts;
}

/** The string literals of a script, template literals with their expressions as one sign. */
function literalsOf(source: string): string[] {
	const texts: string[] = [];
	const walk = (node: ts.Node): void => {
		if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
		if (ts.isStringLiteralLike(node)) texts.push(node.text);
		else if (ts.isTemplateExpression(node)) {
			texts.push(node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join(''));
			node.templateSpans.forEach(({ expression }) => walk(expression));
		} else ts.forEachChild(node, walk);
	};
	walk(ts.createSourceFile('x.ts', source, ts.ScriptTarget.Latest, true));
	return texts;
}

function readTexts(file: string): string[] {
	const source = readFileSync(file, 'utf8');
	if (file.endsWith('.ts')) return literalsOf(source);
	const { fragment } = parse(source, { modern: true });
	const script = /<script[^>]*>([\s\S]*?)<\/script>/g;
	return [...textsOf(fragment), ...[...source.matchAll(script)].flatMap(([, body]) => literalsOf(body))];
}

const all = files.flatMap((file) =>
	readTexts(file)
		.map((text) => text.replace(/\s+/g, ' ').trim())
		.filter((text) => / [a-z]/.test(text))
		.map((text) => ({ file: file.slice(web.length), text }))
);

it('reads the sentences of the interface', () => {
	expect(all.length).toBeGreaterThan(1000);
	expect(all.some(({ text }) => text === 'Single use: the model sheet says always fit a new one.')).toBe(true);
	expect(all.some(({ text }) => text === 'Condition as found')).toBe(true);
});
it('uses none of the words that the style guide advises against', () => {
	expect(all.filter(({ text }) => advisedAgainst.test(text))).toEqual([]);
});
it(`has no sentence of more than ${MOST_WORDS} words`, () => {
	const long = all.flatMap(({ file, text }) =>
		text
			.split(/[.!?:;](?= )/)
			.filter((sentence) => sentence.split(/\s+/).filter((word) => /\p{L}/u.test(word)).length > MOST_WORDS)
			.map((sentence) => `${file}: ${sentence.trim()}`)
	);
	expect(long).toEqual([]);
});
