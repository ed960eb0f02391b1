"""Floor 2: Django. Keeps, checks and serves; no rule of the trade lives here."""
