package wellspan.exchange.ifc.read;

/**
 * What the relations of a file say of its objects, and its units and place. Made once for a file;
 * any thread may ask, but for textures, which are looked up by one thread at a time.
 */
record ModelTables(
    IfcModel model,
    Units units,
    Definitions definitions,
    FinishReader finishes,
    TextureReader textures,
    Georeference geo,
    Openings openings,
    Layers layers,
    ClassificationReader classification) {}
