/** Programmes solved by HiGHS, which whoever asks has loaded: it is WebAssembly, in a worker as on the server. */
import type { Highs, Model, OptionValue } from 'highs';
import type { Programme } from './rows';

/** How far a solve has come: the best found (null before the first) and what is proven that nothing surpasses. */
export interface SolveProgress {
  readonly found: number | null;
  readonly bound: number;
}

export interface SolveLimits {
  /** Stop when what is found is proven to be within this share of the best. */
  readonly gap: number;
  readonly seconds: number;
  /** Asked while it works, with how far it is: whether to stop with the best so far. */
  readonly onProgress?: (progress: SolveProgress) => 'go-on' | 'stop';
}

export type SolveOutcome =
  | { readonly state: 'solved' | 'stopped'; readonly columns: Float64Array; readonly bound: number }
  /** Stopped before anything was found. */
  | { readonly state: 'nothing-found'; readonly bound: number }
  | { readonly state: 'impossible' };

/** Columns this near to a whole number are whole. */
const WHOLE_WITHIN = 1e-6;

function modelOf(highs: Highs, programme: Programme): Model {
  const { gains, isWhole, offset, lower, upper, starts, columns, factors } = programme;
  const [numCols, numRows] = [gains.length, lower.length];
  return highs.createModel({
    numCols,
    numRows,
    sense: highs.constants.objectiveSense.maximize,
    offset,
    colCost: Float64Array.from(gains),
    colLower: new Float64Array(numCols),
    colUpper: new Float64Array(numCols).fill(1),
    rowLower: Float64Array.from(lower),
    rowUpper: Float64Array.from(upper),
    matrix: {
      format: 'csr',
      numRows,
      numCols,
      starts: Int32Array.from(starts),
      indices: Int32Array.from(columns),
      values: Float64Array.from(factors),
    },
    integrality: Int32Array.from(isWhole, Number),
  });
}

/** Whether a row without columns is to be more, or less, than nothing. */
const asksOfNothing = ({ starts, lower, upper }: Programme): boolean =>
  lower.some((least, row) => starts[row] === starts[row + 1] && (least > 0 || upper[row]! < 0));

/**
 * The greatest value of a programme.
 * @param start a choice to begin from, of the columns that take whole numbers; null for none
 */
export function solveProgramme(
  highs: Highs,
  programme: Programme,
  limits: SolveLimits,
  start: Float64Array | null = null,
): SolveOutcome {
  // A programme without columns counts as solved there, whatever its rows ask for.
  if (asksOfNothing(programme)) return { state: 'impossible' };
  const model = modelOf(highs, programme);
  try {
    const options: Record<string, OptionValue> = {
      output_flag: false,
      mip_rel_gap: limits.gap,
      mip_abs_gap: 0,
      mip_feasibility_tolerance: WHOLE_WITHIN,
      time_limit: limits.seconds,
    };
    model.options.set(options);
    if (start) {
      const indices = [...start.keys()].filter((column) => programme.isWhole[column]);
      model.setSolution({ indices, values: indices.map((column) => start[column]!) });
    }
    const { mipInterrupt } = highs.constants.callbackType;
    const { onProgress } = limits;
    const { modelStatus } = model.run(
      onProgress
        ? {
            [mipInterrupt]: (event) => {
              const { mip_primal_bound: found = NaN, mip_dual_bound: bound = Infinity } = event.data;
              const progress = { found: Number.isFinite(found) ? found : null, bound };
              if (onProgress(progress) === 'stop') event.interrupt();
              return undefined;
            },
          }
        : {},
    );
    return outcomeOf(highs, model, modelStatus);
  } finally {
    model.dispose();
  }
}

function outcomeOf(highs: Highs, model: Model, status: number): SolveOutcome {
  const { optimal, infeasible, unboundedOrInfeasible } = highs.constants.modelStatus;
  if (status === infeasible || status === unboundedOrInfeasible) return { state: 'impossible' };
  const bound = Number(model.info.get('mip_dual_bound'));
  const isFound = Number.isFinite(model.getObjectiveValue()) && Number(model.info.get('primal_solution_status')) === 2;
  if (!isFound) return { state: 'nothing-found', bound };
  return { state: status === optimal ? 'solved' : 'stopped', columns: model.getSolution().colValue, bound };
}
