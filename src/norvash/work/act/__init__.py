"""How any job is done: who, where and when, one transaction, what it says of its motor."""
