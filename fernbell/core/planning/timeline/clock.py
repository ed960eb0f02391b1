"""Minutes of a plan by the clock on the kitchen's wall, in the nights when it is changed too."""

from dataclasses import dataclass
from datetime import date, datetime, time, timedelta
from zoneinfo import ZoneInfo


@dataclass(frozen=True, slots=True)
class Clock:
    """Minute 0 is midnight of a day where the kitchen stands; every minute is sixty seconds."""

    day: date
    zone: ZoneInfo

    @property
    def origin(self) -> datetime:
        """The moment of minute 0."""
        return datetime.combine(self.day, time(), self.zone)

    def at(self, minute: int) -> datetime:
        """The moment of a minute, by the wall.

        Args:
            minute: from the origin [min].
        Returns:
            with its zone.
        Source:
            definition.
        """
        moment = self.origin.astimezone(ZoneInfo("UTC")) + timedelta(minutes=minute)
        return moment.astimezone(self.zone)

    def minute(self, moment: datetime) -> int:
        """How far a moment is from the origin.

        Args:
            moment: with its zone, or by the wall of the kitchen.
        Returns:
            whole minutes [min].
        Source:
            definition.
        """
        known = moment if moment.tzinfo else moment.replace(tzinfo=self.zone)
        utc = ZoneInfo("UTC")
        return round((known.astimezone(utc) - self.origin.astimezone(utc)).total_seconds() / 60)

    def on(self, days: int, minute_of_day: int) -> int:
        """The minute at which the wall shows an hour, so many days after the origin.

        Args:
            days: after the first [1].
            minute_of_day: as the wall shows it, 24 h for the next midnight [min].
        Returns:
            from the origin; in a night with an hour too few, the next hour there is [min].
        Source:
            definition.
        """
        more, minute = divmod(minute_of_day, 24 * 60)
        wall = datetime.combine(self.day + timedelta(days=days + more), time(), self.zone)
        return self.minute(wall.replace(hour=minute // 60, minute=minute % 60))

    def says(self, minute: int) -> str:
        """Such as 'Fri 14:00'."""
        return f"{self.at(minute):%a %H:%M}"

    def hour(self, minute: int) -> str:
        """Such as '14:00'."""
        return f"{self.at(minute):%H:%M}"


def hours_words(minutes: float) -> str:
    """A length of time as it is said: '40 min', '14 h 20'.

    Args:
        minutes: how long [min].
    Returns:
        in hours and minutes [text].
    Source:
        definition.
    """
    hours, rest = divmod(round(minutes), 60)
    if not hours:
        return f"{rest} min"
    return f"{hours} h {rest:02d}" if rest else f"{hours} h"
