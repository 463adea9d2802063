/** A few linear equations, solved again and again: factors with the largest pivot of each column. */

export interface Factors {
  /** Row by row; the matrix before `factored`, its two triangles after it. */
  readonly matrix: Float64Array;
  /** Which row was taken for each column. */
  readonly order: Int32Array;
}

/** Factors a matrix in place. */
export function factored({ matrix, order }: Factors): void {
  const n = order.length;
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let row = column + 1; row < n; row++)
      if (Math.abs(matrix[row * n + column]!) > Math.abs(matrix[pivot * n + column]!)) pivot = row;
    order[column] = pivot;
    if (pivot !== column)
      for (let k = 0; k < n; k++) {
        const held = matrix[column * n + k]!;
        matrix[column * n + k] = matrix[pivot * n + k]!;
        matrix[pivot * n + k] = held;
      }
    for (let row = column + 1; row < n; row++) {
      const share = matrix[row * n + column]! / matrix[column * n + column]!;
      matrix[row * n + column] = share;
      for (let k = column + 1; k < n; k++) matrix[row * n + k]! -= share * matrix[column * n + k]!;
    }
  }
}

/** Solves for the first values of a list, in place. */
export function solved({ matrix, order }: Factors, values: Float64Array): void {
  const n = order.length;
  for (let column = 0; column < n; column++) {
    const pivot = order[column]!;
    if (pivot === column) continue;
    const held = values[column]!;
    values[column] = values[pivot]!;
    values[pivot] = held;
  }
  for (let row = 1; row < n; row++) for (let k = 0; k < row; k++) values[row]! -= matrix[row * n + k]! * values[k]!;
  for (let row = n - 1; row >= 0; row--) {
    for (let k = row + 1; k < n; k++) values[row]! -= matrix[row * n + k]! * values[k]!;
    values[row]! /= matrix[row * n + row]!;
  }
}
