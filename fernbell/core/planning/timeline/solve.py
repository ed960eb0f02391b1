"""The plan that serves the chef's aims best, in their order; what it reaches and what is proven."""

from collections.abc import Callable
from dataclasses import dataclass, field
from math import inf
from time import monotonic

from ortools.sat.python import cp_model

from fernbell.core.planning.timeline.model import Model
from fernbell.core.planning.timeline.work import Aim, Planned, Work

ENOUGH = 0.005
"""A gap that nobody would see on the board [1]."""
_SEED = 7
_TIDY = 0.15
"""Of all the time, what is given to moving things later that no aim asks for [1]."""


@dataclass(frozen=True, slots=True)
class Reached:
    """How far an aim is reached: what it comes to, and the least that it could [min, or counted].

    `aim` is None for what is left when all are met: everything as late as it goes.
    """

    aim: Aim | None
    value: float
    bound: float

    @property
    def gap(self) -> float:
        """Of what it comes to, how much might still be saved at most [1]."""
        return 0.0 if self.value <= self.bound else (self.value - self.bound) / self.value


@dataclass(frozen=True, slots=True)
class Outcome:
    """The best plan found, and what is known of it; `stopped` before all was tried."""

    plan: Planned
    reached: tuple[Reached, ...]
    stopped: bool = False


@dataclass
class Halt:
    """Somebody may ask a search to stop, from another thread."""

    asked: bool = False
    _stops: list[Callable[[], None]] = field(default_factory=list)

    def ask(self) -> None:
        """Stop now; what was found until now is kept."""
        self.asked = True
        for stop in self._stops:
            stop()

    def watch(self, solver: cp_model.CpSolver) -> None:
        """From now on it is this search that is stopped."""
        self._stops[:] = [solver.stop_search]


Tell = Callable[[Outcome], None]


def solve(
    work: Work,
    *,
    seconds: float = 20.0,
    effort: float = inf,
    workers: int = 2,
    enough: float = ENOUGH,
    near: Planned | None = None,
    keep: bool = False,
    tell: Tell | None = None,
    halt: Halt | None = None,
) -> Outcome | None:
    """Plan a work, aim after aim.

    Args:
        work: tasks, people, places and aims [Work].
        seconds: how long to search at most [s].
        effort: work of the solver for each aim at most, the same on every machine [1].
        workers: threads of the solver [1].
        enough: gap at which an aim counts as served [1].
        near: a plan to begin from [min].
        keep: to stay as near to that plan as can be, before anything else [1].
        tell: told of every better answer [Outcome].
        halt: by which it can be stopped [Halt].
    Returns:
        the best found [min]; None where it is proven that nothing fits.
    Raises:
        TimeoutError: neither a plan nor a proof in that time.
    Source:
        CP-SAT; aims one after another, each kept while the next is served (lexicographic).
    """
    if not work.tasks:
        return Outcome(Planned({}, {}, {}), ())
    search = _Search(Model(work), seconds, effort, workers, enough, tell, halt or Halt())
    if near:
        search.model.hint(near)
    if keep and near:
        moved = search.model.moved(near)
        if not search.serve(None, moved, share=0.5):
            return None
        search.reached.clear()
        return search.solution()
    for aim in work.aims.order:
        value = search.model.aim(aim)
        if value is None:
            continue
        if not search.serve(aim, value, share=0.6):
            return None
        search.model.cp.add(value <= search.last)
    search.until = min(search.until, monotonic() + _TIDY * seconds)
    if not search.serve(None, search.model.tidied(), share=1.0):
        return None
    return search.solution()


def fits(work: Work, *, seconds: float, workers: int = 2, halt: Halt | None = None) -> bool | None:
    """Whether there is any plan at all.

    Args:
        work: tasks, people and places [Work].
        seconds: how long to search at most [s].
        workers: threads of the solver [1].
        halt: by which it can be stopped [Halt].
    Returns:
        whether there is [1]; None where that time was not enough to tell.
    Source:
        CP-SAT.
    """
    solver = cp_model.CpSolver()
    solver.parameters.num_workers = workers
    solver.parameters.max_time_in_seconds = seconds
    solver.parameters.random_seed = _SEED
    if halt:
        halt.watch(solver)
    status = solver.solve(Model(work).cp)
    if status in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        return True
    return False if status == cp_model.INFEASIBLE else None


class _Search:
    """One model, aim after aim, within one time."""

    def __init__(
        self,
        model: Model,
        seconds: float,
        effort: float,
        workers: int,
        enough: float,
        tell: Tell | None,
        halt: Halt,
    ) -> None:
        self.model = model
        self.until = monotonic() + seconds
        self.effort = effort
        self.workers = workers
        self.enough = enough
        self.tell = tell
        self.halt = halt
        self.best: Planned | None = None
        self.reached: list[Reached] = []
        self.last = 0

    def serve(self, aim: Aim | None, value: cp_model.LinearExpr, share: float) -> bool:
        """Make it as small as can be in a share [1] of what time is left; False if none fits."""
        left = self.until - monotonic()
        if self.best and (self.halt.asked or left <= 0):
            return True
        self.model.cp.minimize(value)
        if self.best:
            self.model.hint(self.best)
        solver = cp_model.CpSolver()
        solver.parameters.num_workers = self.workers
        solver.parameters.max_time_in_seconds = max(0.2, left * share if self.best else left)
        solver.parameters.max_deterministic_time = self.effort
        solver.parameters.relative_gap_limit = self.enough
        solver.parameters.random_seed = _SEED
        self.halt.watch(solver)
        status = solver.solve(self.model.cp, _Told(self, aim))
        assert status != cp_model.MODEL_INVALID, self.model.cp.validate()
        if status == cp_model.INFEASIBLE:
            return False
        if status not in (cp_model.OPTIMAL, cp_model.FEASIBLE):
            if self.best:
                return True
            raise TimeoutError
        self.best = self.model.read(solver)
        self.last = round(solver.objective_value)
        self.reached.append(self.of(aim, solver.objective_value, solver.best_objective_bound))
        return True

    def of(self, aim: Aim | None, value: float, bound: float) -> Reached:
        """What is counted on the grid [1], in minutes [min]."""
        unit = 1 if aim is Aim.NO_EARLY else self.model.grid
        return Reached(aim, value * unit, max(0.0, bound) * unit)

    def solution(self) -> Outcome:
        """What there is now."""
        assert self.best is not None
        return Outcome(self.best, tuple(self.reached), self.halt.asked)


class _Told(cp_model.CpSolverSolutionCallback):
    """Passes every better answer on."""

    def __init__(self, search: _Search, aim: Aim | None) -> None:
        super().__init__()
        self.search = search
        self.aim = aim

    def on_solution_callback(self) -> None:
        """The solver has found a better one."""
        search = self.search
        if search.halt.asked:
            self.stop_search()
        if search.tell is None:
            return
        now = search.of(self.aim, self.objective_value, self.best_objective_bound)
        search.tell(Outcome(search.model.read(self), (*search.reached, now)))
