import type { Finding } from '../src/fit/finding.ts';
import { emptyGolden, holdGolden, keepGolden, layOut, type Golden } from './golden.ts';

/**
 * What was said when it was last looked at, kept beside the other goldens. With SPROCKET_GOLDEN in the environment the
 * tests write it anew, after a change made on purpose; its text says why verdicts turned, if any did.
 */
export class Said {
  private readonly golden: Golden = emptyGolden();
  constructor(private readonly name: string) {}

  /** All that a finding says: verdict and title, why, what it rests on, what can be done. */
  say(name: string, finding: Finding | null | undefined): void {
    const path = name.replaceAll(': ', ' · ');
    if (finding) layOut({ ...finding, rule: finding.rule }, path, this.golden);
    else layOut({ verdict: 'none' }, path, this.golden);
  }

  /** A verdict with its title alone, as of what fits. */
  sayShort(name: string, { verdict, title }: Finding): void {
    layOut({ verdict, title }, name.replaceAll(': ', ' · '), this.golden);
  }

  /** Holds what was said to what is kept, or keeps it where that was asked for. */
  done(): void {
    const because = process.env.SPROCKET_GOLDEN;
    if (because) keepGolden(this.name, this.golden, because);
    else holdGolden(this.name, this.golden);
  }
}
