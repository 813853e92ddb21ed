import { existsSync, readFileSync } from 'node:fs';
import { authorityFile } from './certificate';
import { directoryOf } from '../db';

/** The certificate that a phone is told to trust; undefined where this Wendle makes none of its own. */
export function authority(): string | undefined {
	const file = authorityFile(directoryOf('own'));
	return existsSync(file) ? readFileSync(file, 'utf8') : undefined;
}
