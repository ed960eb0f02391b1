"""Accounts, kitchens, membership, and who may do what."""
