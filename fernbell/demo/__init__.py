"""The demo kitchen of Wrenmoor Hall, invented for Fern Bell."""
