"""What a kitchen has, and what it is to make."""
