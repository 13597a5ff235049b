package wellspan.exchange.points;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;

class PointListReaderTest {
  @TempDir Path dir;

  private Received read(String text) throws IOException {
    return PointListReader.read(Files.writeString(dir.resolve("control.csv"), text), Progress.NONE);
  }

  @Test
  void columnsAreFoundByTheirNames() throws IOException {
    Item.PointGroup g =
        (Item.PointGroup)
            read("Northing;Point;Easting;Level;Code\n6534500.5;BN-1;412000.25;;x\n2;B;1;3.5;\n")
                .items()
                .getFirst();
    assertThat(g.points().get(0).position().east()).isEqualTo(412_000.25);
    assertThat(g.points().get(0).position().height()).isNaN();
    assertThat(g.points().get(1).position()).isEqualTo(new Position(1, 2, 3.5));
  }

  @Test
  void faultsNameColumnAndLine() {
    assertThatThrownBy(() -> read("id,x\n1,2\n"))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("no column for east");
    assertThatThrownBy(() -> read("id,e,n\nA,1,2\nB,zwei,3\n"))
        .hasMessageContaining("line 3")
        .hasMessageContaining("\"zwei\"");
    assertThatThrownBy(() -> read("id,e,n\nA,NaN,2\n")).hasMessageContaining("not a number");
    assertThatThrownBy(
            () ->
                PointListReader.read(
                    Files.write(dir.resolve("b.csv"), new byte[] {'i', 'd', (byte) 0xE9, ',', 'e'}),
                    Progress.NONE))
        .hasMessageContaining("UTF-8");
  }

  @Test
  void aListWithoutPointsIsAnError() throws IOException {
    assertThat(read("id,e,n\n").hasErrors()).isTrue();
  }
}
