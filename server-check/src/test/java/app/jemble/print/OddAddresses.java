package app.jemble.print;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Made-up addresses, long and odd, in ten scripts. */
final class OddAddresses {

  /** Words of each script; what they mean matters less than their letters. */
  static final List<List<String>> SCRIPTS =
      List.of(
          List.of("Bea", "Okonjo", "Quay", "Ångström", "Șerban", "Nguyễn", "Łódź", "Straße", "4b"),
          List.of("Ελένη", "Παπαδοπούλου", "Οδός", "Αθηνών", "Θεσσαλονίκη", "12"),
          List.of("Наталья", "Щербакова", "улица", "Мира", "Київ", "Їжакевич", "7"),
          List.of("שרה", "לוי", "רחוב", "הרצל", "תל־אביב", "15"),
          List.of("محمد", "الأندلسي", "شارع", "الملك", "القاهرة", "٢٣"),
          List.of("प्रिया", "शर्मा", "मार्ग", "क्षेत्र", "दिल्ली", "४२"),
          List.of("สมชาย", "ศรีสุข", "ถนน", "สุขุมวิท", "กรุงเทพฯ", "ที่"),
          List.of("山田", "花子", "東京都", "港区", "ひらがな", "カタカナ"),
          List.of("张伟", "汉语", "街道", "广东省", "云", "飞"),
          List.of("김민준", "서울특별시", "강남구", "테헤란로", "한국"));

  private final Random random;

  OddAddresses(long seed) {
    this.random = new Random(seed);
  }

  /** One to nine lines, some of two scripts. */
  List<String> next() {
    List<String> lines = new ArrayList<>();
    List<String> script = SCRIPTS.get(random.nextInt(SCRIPTS.size()));
    for (int i = 1 + random.nextInt(9); i > 0; i--) {
      List<String> words = random.nextInt(6) == 0 ? SCRIPTS.get(0) : script;
      lines.add(line(words));
    }
    return lines;
  }

  private String line(List<String> words) {
    StringBuilder line = new StringBuilder();
    for (int i = random.nextInt(10) == 0 ? 14 : 1 + random.nextInt(5); i > 0; i--) {
      line.append(line.isEmpty() ? "" : " ").append(words.get(random.nextInt(words.size())));
    }
    return line.toString();
  }
}
