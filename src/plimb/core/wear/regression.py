"""A weighted least-squares fit that keeps the digits: by orthogonal factors, never by squares.

What is known beforehand goes in as rows of its own, so that a fit with normal priors is the same
sum (generalised least squares; for instance Gelman et al., *Bayesian Data Analysis*, 14.8).
"""

from dataclasses import dataclass
from math import sqrt

import numpy as np
from numpy.typing import NDArray

Floats = NDArray[np.float64]


@dataclass(frozen=True, slots=True, kw_only=True)
class Fit:
    """The best values, the triangular factor R of the columns (Rᵀ R = Xᵀ X), and what is left.

    `rest` is the sum of squared residuals and `free` the rows less the columns.
    """

    best: Floats
    factor: Floats
    rest: float
    free: int

    @property
    def covariance(self) -> Floats:
        """(Xᵀ X)⁻¹: times the noise's variance it is the covariance of the best values.

        Of shape (k, k).
        """
        inverse = np.linalg.solve(self.factor, np.eye(len(self.best)))
        square: Floats = inverse @ inverse.T
        return square

    @property
    def residual_deviation(self) -> float:
        """The residual standard deviation, with as many degrees of freedom as are left."""
        return sqrt(self.rest / self.free) if self.free > 0 else 0.0

    def deviations(self) -> Floats:
        """Return the standard deviations of the best values, the noise taken from what is left.

        Of shape (k,).
        """
        found: Floats = np.sqrt(np.diag(self.covariance)) * self.residual_deviation
        return found


def fit(columns: Floats, values: Floats) -> Fit:
    """Return the values that bring `columns` times them nearest to `values`.

    Args:
        columns: (n, k), n at least k, of full rank; each row already divided by its deviation.
        values: (n,), divided alike.
    """
    wide = columns.shape[1]
    scale = np.sqrt((columns**2).sum(axis=0))
    orthogonal, factor = np.linalg.qr(columns / scale)
    turned = orthogonal.T @ values
    best = np.linalg.solve(factor, turned)
    # once more on what is left: the second step wins back digits that the first one lost
    best = best + np.linalg.solve(factor, orthogonal.T @ (values - (columns / scale) @ best))
    rest = values - (columns / scale) @ best
    return Fit(
        best=best / scale, factor=factor * scale, rest=float(rest @ rest), free=len(values) - wide
    )
