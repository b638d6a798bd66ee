import fc from 'fast-check';

// The same draws on every machine; SEED=… looks elsewhere.
fc.configureGlobal({ seed: Number(process.env.SEED ?? 20260504) });
