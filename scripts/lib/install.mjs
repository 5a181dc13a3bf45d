// Installs what a fresh Debian machine lacks: npm packages, the PostgreSQL server, Chromium for the browser tests.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Advice, root, run } from './run.mjs';

const installedLock = join(root, 'node_modules/.exetasis-lock');

/** Installs the npm packages where the lock file has changed since the last time. */
export function ensurePackages() {
	const lock = readFileSync(join(root, 'package-lock.json'), 'utf8');
	if (existsSync(installedLock) && readFileSync(installedLock, 'utf8') === lock) return;
	console.log('Installing npm packages …');
	run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
		advice: 'The npm packages could not be installed: run "npm ci" here to see why.'
	});
	writeFileSync(installedLock, lock);
}

function aptInstall(debianPackage, reason) {
	const sudo = process.getuid() === 0 ? [] : ['sudo', '-n'];
	const apt = [...sudo, 'apt-get'];
	const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
	const attempt = (args) => spawnSync(apt[0], [...apt.slice(1), ...args], { stdio: 'ignore', env }).status === 0;
	console.log(`Installing Debian's ${debianPackage} …`);
	const install = ['install', '-y', '--no-install-recommends', debianPackage];
	if (attempt(install) || (attempt(['update']) && attempt(install))) return;
	throw new Advice(`${reason} Install it with: sudo apt-get install ${debianPackage}`);
}

function newestServerFolder() {
	const base = '/usr/lib/postgresql';
	if (!existsSync(base)) return undefined;
	const versions = readdirSync(base).filter((version) => existsSync(join(base, version, 'bin/postgres')));
	const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
	return newest && join(base, newest, 'bin');
}

/** The folder with Debian's newest PostgreSQL server programs, installed where missing. */
export function ensurePostgres() {
	const found = newestServerFolder();
	if (found) return found;
	aptInstall('postgresql', 'Exetasis keeps its records in PostgreSQL, and its server is not on this machine.');
	const installed = newestServerFolder();
	if (!installed)
		throw new Advice('PostgreSQL was installed but its server programs are not under /usr/lib/postgresql.');
	return installed;
}

/** The path of Debian's Chromium, installed where missing. */
export function ensureChromium() {
	const path = '/usr/bin/chromium';
	if (!existsSync(path)) aptInstall('chromium', 'The browser tests need Chromium, which is not on this machine.');
	return path;
}
