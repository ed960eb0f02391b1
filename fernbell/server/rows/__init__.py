"""What every row of a kitchen has: revision, change log, actions, shelf, policy."""
