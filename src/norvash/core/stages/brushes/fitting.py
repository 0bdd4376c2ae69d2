"""What is asked when a new set goes in: what else was renewed with it."""

from norvash.core.stages.brushes.holders import RENEW_HOLDER, RENEW_INSULATOR, SET_GAP
from norvash.core.stages.brushes.springs import MEND_TERMINAL, RENEW_SPRINGS

# Work that is done while the brushes are out, and does not go without saying.
ALSO = (RENEW_SPRINGS, MEND_TERMINAL, RENEW_HOLDER, RENEW_INSULATOR, SET_GAP)
