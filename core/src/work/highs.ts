import loadHighs from 'highs';
import type { IntegerSolver } from './buy.ts';

/**
 * The integer solver HiGHS, proving its optimum without a gap. It is a WebAssembly module, loaded once; on a page its
 * file's address is given, under Node it finds its own.
 */
export async function integerSolver(locateFile?: (file: string) => string): Promise<IntegerSolver> {
  const highs = await loadHighs(locateFile ? { locateFile } : {});
  return (program) => {
    const { Status, Columns } = highs.solve(program, {
      mip_rel_gap: 0,
      mip_abs_gap: 0,
      output_flag: false,
    });
    if (Status !== 'Optimal') return null;
    return Object.fromEntries(
      Object.entries(Columns).map(([name, column]) => [name, (column as { Primal: number }).Primal]),
    );
  };
}
