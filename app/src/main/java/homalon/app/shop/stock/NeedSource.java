package homalon.app.shop.stock;

import homalon.app.casting.part.PartFile;
import java.util.List;

/** Says what a part's job needs. */
public interface NeedSource {
    List<Need> needs(PartFile part);
}
