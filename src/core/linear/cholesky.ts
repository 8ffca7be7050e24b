// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { sqrt } = Math

/**
 * Cholesky factor of a symmetric positive definite matrix.
 * @param a n × n, row by row; only the lower half is read
 * @returns L, lower, n × n; undefined where the matrix is not positive definite
 */
export function cholesky(a: Float64Array, n: number): Float64Array | undefined {
  const l = new Float64Array(n * n)
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = a[i * n + j]!
      for (let k = 0; k < j; k++) sum -= l[i * n + k]! * l[j * n + k]!
      if (i === j) {
        if (!(sum > 0)) return undefined
        l[i * n + i] = sqrt(sum)
      } else l[i * n + j] = sum / l[j * n + j]!
    }
  return l
}

/** Solves L Lᵀ x = b. */
export function solveCholesky(l: Float64Array, n: number, b: ArrayLike<number>): Float64Array {
  const x = solveLower(l, n, b)
  for (let i = n - 1; i >= 0; i--) {
    let sum = x[i]!
    for (let k = i + 1; k < n; k++) sum -= l[k * n + i]! * x[k]!
    x[i] = sum / l[i * n + i]!
  }
  return x
}

/** Solves L x = b. With b a gradient and L of a precision matrix, |x|² is the variance along it. */
export function solveLower(l: Float64Array, n: number, b: ArrayLike<number>): Float64Array {
  const x = Float64Array.from(b)
  for (let i = 0; i < n; i++) {
    let sum = x[i]!
    for (let k = 0; k < i; k++) sum -= l[i * n + k]! * x[k]!
    x[i] = sum / l[i * n + i]!
  }
  return x
}

/** Inverse of a symmetric positive definite matrix. @throws RangeError where it is not positive definite */
export function invertSymmetric(a: Float64Array, n: number): Float64Array {
  const l = cholesky(a, n)
  if (!l) throw new RangeError('matrix is not positive definite')
  const inverse = new Float64Array(n * n)
  const unit = new Float64Array(n)
  for (let j = 0; j < n; j++) {
    unit.fill(0)
    unit[j] = 1
    const column = solveCholesky(l, n, unit)
    for (let i = 0; i < n; i++) inverse[i * n + j] = column[i]!
  }
  return inverse
}
