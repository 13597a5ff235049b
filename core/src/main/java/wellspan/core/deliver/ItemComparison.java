package wellspan.core.deliver;

import java.util.List;
import wellspan.core.finding.Finding;

/** Figures of one compared item and what is wrong with it. */
record ItemComparison(Proof.ItemProof figures, List<Finding> findings) {}
