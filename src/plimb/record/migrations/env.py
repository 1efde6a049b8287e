"""Run migrations on the connection that the caller has opened."""

from alembic import context

from plimb.record.tables import card, order, shim  # noqa: F401  # all tables are known then
from plimb.record.tables.base import Base

context.configure(
    connection=context.config.attributes["connection"],
    target_metadata=Base.metadata,
    render_as_batch=True,
    transaction_per_migration=False,
)
context.run_migrations()
