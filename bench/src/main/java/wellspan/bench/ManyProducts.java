package wellspan.bench;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.LocalZero;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.intake.SourceIntake;

/**
 * Makes an IFC4 model of many small products, as received models come: a square field of kerb
 * stones, slabs and posts over some storeys, each a closed box with a property set, a material and
 * a layer. The text is written as it stands, without our writer.
 */
public final class ManyProducts {
  private static final String[] CLASSES = {"IFCBUILDINGELEMENTPROXY", "IFCSLAB", "IFCCOLUMN"};
  private static final String[] NAMES = {"Kerb stone", "Slab", "Post"};
  private static final double E = 412_300;
  private static final double N = 6_534_800;

  private ManyProducts() {}

  /**
   * @param args the file to write, the number of products, and perhaps the folder of a job to make
   *     that has received it and delivers it
   */
  public static void main(String[] args) throws IOException {
    Path file = Path.of(args[0]);
    write(file, Integer.parseInt(args[1]));
    if (args.length > 2) {
      job(file, Path.of(args[2]));
    }
  }

  private static void job(Path file, Path folder) throws IOException {
    JobStore store = new JobStore(folder);
    SourceIntake.Taken taken =
        SourceIntake.take(
            store,
            Job.named("Many products"),
            file,
            Optional.empty(),
            Clock.systemUTC(),
            Progress.NONE);
    store.save(
        taken
            .job()
            .withDelivery(
                new Delivery(
                    "Handover",
                    "BIM authoring",
                    IfcSchema.IFC4X3,
                    LinearUnit.METRE,
                    new LocalZero.BasePoint(),
                    "many-products.ifc",
                    Set.of())));
  }

  /** Writes a model of a number of products. */
  public static void write(Path file, int products) throws IOException {
    try (PrintWriter out =
        new PrintWriter(Files.newBufferedWriter(file, StandardCharsets.US_ASCII))) {
      head(out);
      int side = (int) Math.ceil(Math.sqrt(products));
      int id = 100;
      StringBuilder all = new StringBuilder();
      StringBuilder[] byMaterial = {new StringBuilder(), new StringBuilder(), new StringBuilder()};
      for (int i = 0; i < products; i++) {
        int kind = i % CLASSES.length;
        int column = i % side, row = i / side, layer = i / 2000 % 4;
        double x = 2.5 * column, y = 2.5 * row, z = 3 + layer;
        int product = product(out, id, i, kind, x, y, z);
        all.append(i == 0 ? "" : ",").append('#').append(product);
        byMaterial[kind].append(byMaterial[kind].isEmpty() ? "" : ",").append('#').append(product);
        id += 12;
      }
      out.printf(
          "#%d=IFCRELCONTAINEDINSPATIALSTRUCTURE('%s',$,$,$,(%s),#20);%n", id, guid(id), all);
      for (int k = 0; k < CLASSES.length; k++) {
        out.printf("#%d=IFCMATERIAL('%s',$,$);%n", id + 1 + 2 * k, NAMES[k] + " concrete");
        out.printf(
            "#%d=IFCRELASSOCIATESMATERIAL('%s',$,$,$,(%s),#%d);%n",
            id + 2 + 2 * k, guid(id + 2 + 2 * k), byMaterial[k], id + 1 + 2 * k);
      }
      out.println("ENDSEC;");
      out.println("END-ISO-10303-21;");
    }
  }

  private static void head(PrintWriter out) {
    out.println(
        """
        ISO-10303-21;
        HEADER;
        FILE_DESCRIPTION(('ViewDefinition [ReferenceView]'),'2;1');
        FILE_NAME('many.ifc','2026-11-24T09:00:00',(''),(''),'','','');
        FILE_SCHEMA(('IFC4'));
        ENDSEC;
        DATA;
        #1=IFCCARTESIANPOINT((0.,0.,0.));
        #2=IFCAXIS2PLACEMENT3D(#1,$,$);
        #3=IFCGEOMETRICREPRESENTATIONCONTEXT($,'Model',3,1.E-05,#2,$);
        #4=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);
        #5=IFCSIUNIT(*,.PLANEANGLEUNIT.,$,.RADIAN.);
        #6=IFCUNITASSIGNMENT((#4,#5));
        #7=IFCPROJECT('0Many00000000000000001',$,'Many products',$,$,$,$,(#3),#6);
        #8=IFCPROJECTEDCRS('EPSG:25832',$,$,$,$,$,$);""");
    out.printf(Locale.ROOT, "#9=IFCMAPCONVERSION(#3,#8,%.1f,%.1f,0.,1.,0.,1.);%n", E, N);
    out.println(
        """
        #10=IFCSITE('0Many00000000000000002',$,'Yard',$,$,#12,$,$,.ELEMENT.,$,$,$,$,$);
        #11=IFCRELAGGREGATES('0Many00000000000000003',$,$,$,#7,(#10));
        #12=IFCLOCALPLACEMENT($,#2);
        #20=IFCBUILDING('0Many00000000000000004',$,'Apron',$,$,#12,$,$,.ELEMENT.,$,$,$);
        #21=IFCRELAGGREGATES('0Many00000000000000005',$,$,$,#10,(#20));
        #22=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(2.,0.,0.),(2.,1.,0.),(0.,1.,0.),(0.,0.,0.5),(2.,0.,0.5),(2.,1.,0.5),(0.,1.,0.5)));""");
  }

  private static int product(
      PrintWriter out, int id, int i, int kind, double x, double y, double z) {
    out.printf(
        Locale.ROOT,
        "#%d=IFCCARTESIANPOINT((%.3f,%.3f,%.3f));%n#%d=IFCAXIS2PLACEMENT3D(#%d,$,$);%n#%d=IFCLOCALPLACEMENT(#12,#%d);%n",
        id,
        x,
        y,
        z,
        id + 1,
        id,
        id + 2,
        id + 1);
    out.printf(
        "#%d=IFCTRIANGULATEDFACESET(#22,$,.T.,((1,3,2),(1,4,3),(5,6,7),(5,7,8),(1,2,6),(1,6,5),(2,3,7),(2,7,6),(3,4,8),(3,8,7),(4,1,5),(4,5,8)),$);%n",
        id + 3);
    out.printf(
        "#%d=IFCSHAPEREPRESENTATION(#3,'Body','Tessellation',(#%d));%n#%d=IFCPRODUCTDEFINITIONSHAPE($,$,(#%d));%n",
        id + 4, id + 3, id + 5, id + 4);
    String tail = kind == 0 ? ",$)" : ",.NOTDEFINED.)";
    out.printf(
        "#%d=%s('%s',$,'%s %d',$,$,#%d,#%d,$%s;%n",
        id + 6, CLASSES[kind], guid(id), NAMES[kind], i + 1, id + 2, id + 5, tail);
    out.printf(
        "#%d=IFCPROPERTYSINGLEVALUE('Lot',$,IFCLABEL('L%d'),$);%n#%d=IFCPROPERTYSET('%s',$,'Yard',$,(#%d));%n#%d=IFCRELDEFINESBYPROPERTIES('%s',$,$,$,(#%d),#%d);%n",
        id + 7, i % 40, id + 8, guid(id + 8), id + 7, id + 9, guid(id + 9), id + 6, id + 8);
    return id + 6;
  }

  /** 22 characters, told apart by a number. */
  private static String guid(int n) {
    return String.format("1Many%017d", n);
  }
}
