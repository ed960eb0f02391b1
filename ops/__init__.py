"""What ./fern does, with nothing but Python's standard library."""
