package homalon.app.shop.stock;

import homalon.core.visit.PartFile;
import java.util.List;

/** Says what a part's job needs. */
public interface NeedSource {
    List<Need> needs(PartFile part);
}
