"""What is said together of a stage: that its looks, each named, found nothing."""

from norvash.core.sheet.fields_made import text

TOGETHER = text(
    "together.drive", "Seen", "Said together, nothing found", needs="safe", per="number", placed=True, judged=True
)
