#!/usr/bin/env node
/** Holds the rooms of .dependency-cruiser.cjs; fails as well where it could not read the sources at all. */
import { cruise } from 'dependency-cruiser';
import extractConfig from 'dependency-cruiser/config-utl/extract-depcruise-config';

const config = await extractConfig('./.dependency-cruiser.cjs');
const { options, ...ruleSet } = config;
const { output } = await cruise(['core/src', 'web/src', 'cli/src', 'server/src'], {
  ...options,
  ruleSet,
  validate: true,
});
const { violations, totalCruised } = output.summary;
for (const { rule, from, to } of violations) process.stderr.write(`${rule.name}: ${from} → ${to}\n`);
// Without a transpiler it knows, it passes over every TypeScript file in silence.
const few = totalCruised < 500;
if (few) process.stderr.write(`Only ${totalCruised} files were read: the rooms were not looked at.\n`);
if (violations.length > 0 || few) process.exitCode = 1;
