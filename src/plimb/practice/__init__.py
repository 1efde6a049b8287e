"""Practice: the whole job on engines that do not break, kept apart from the shop's record."""
