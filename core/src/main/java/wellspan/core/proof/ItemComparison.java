package wellspan.core.proof;

import java.util.List;

/** Figures of one compared item and in what it differs. */
record ItemComparison(Proof.ItemProof figures, List<Difference> differences) {}
