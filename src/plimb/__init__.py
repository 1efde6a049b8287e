"""Plimb: a bench companion for valve-clearance work."""

__version__ = "0.1.0"
