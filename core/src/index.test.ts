import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../..', import.meta.url));
const outside = ['web/src', 'cli/src', 'server/src', 'e2e', 'scripts', 'core/bench'];
const namesIn = (list: string): string[] =>
  list
    .split(',')
    .map((name) =>
      name
        .trim()
        .replace(/^type /, '')
        .replace(/ as .*/, ''),
    )
    .filter((name) => name !== '');

describe('the core’s entry', () => {
  const entry = readFileSync(join(root, 'core/src/index.ts'), 'utf8');
  const given = [...entry.matchAll(/export (?:type )?\{([^}]*)\} from/g)].flatMap((m) => namesIn(m[1] ?? ''));
  const used = new Set(
    outside
      .flatMap((room) =>
        readdirSync(join(root, room), { recursive: true, encoding: 'utf8' })
          .filter((file) => /\.tsx?$/.test(file) && !file.includes('node_modules'))
          .map((file) => readFileSync(join(root, room, file), 'utf8')),
      )
      .flatMap((text) => [...text.matchAll(/(?:import|export) (?:type )?\{([^}]*)\} from '@sprocket\/core'/g)])
      .flatMap((m) => namesIn(m[1] ?? '')),
  );

  it('exports by name, one name once', () => {
    expect(entry).not.to.match(/export \*/);
    expect(given.length).to.be.greaterThan(100);
    expect(given.filter((name, i) => given.indexOf(name) !== i)).to.deep.equal([]);
  });

  it('exports nothing that no other room takes', () => {
    expect(given.filter((name) => !used.has(name))).to.deep.equal([]);
  });
});
