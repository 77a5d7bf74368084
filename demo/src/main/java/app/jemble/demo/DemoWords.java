package app.jemble.demo;

import java.util.List;
import java.util.Random;

/** Made-up names and words. */
final class DemoWords {

  static final List<String> FIRST =
      words(
          "Anselm Bea Carmen Dov Edda Faro Gita Hal Ines Jonty Kei Lise Milo Nadia Oskar Priya Quill"
              + " Rosa Tove Gus Ada Bram Cleo Dunstan Elke Finn Greta Hugo Isolde Jarek Kofi Lena"
              + " Marek Noor Odile Pavel Rhea Silas Thea Ugo Vera Wren Xenia Yusuf Zora Alba Bodil"
              + " Caspar Delphine Emeka Freya Gwilym Hedda Ivo Juno Kasimir Leopold Maren Niamh Orson"
              + " Petra Ravi Saskia Tamsin Ulrika Viggo Willa Yara Zoltan Agnes Basil Corin Dagny"
              + " Esme Fergus Gunnar Halima Ida Jory Keziah Ludo Morwenna Nils Oona Piran Rafe Senara");
  static final List<String> LAST =
      words(
          "Brandt Okonjo Ruiz Halloran Lindqvist Maddox Ramanan Winstanley Calloway Sørli Marlowe"
              + " Abara Gantz Thorne Pell Lund Adeyemi Velde Rask Arkwright Penrose Trevanion Quist"
              + " Bellweather Dunmore Eastaugh Farrow Gorse Hathersage Ilves Jessop Kestrel Larkin"
              + " Mossman Nankivell Ostler Polglase Quayle Rosewarne Sandell Tregear Underhill Vosper"
              + " Wheelwright Yelland Zeller Amsel Birkett Cassidy Drewe Ebdon Fenn Godolphin Hosken"
              + " Inskip Jago Kitto Lobb Mabe Nancarrow Olver Pascoe Quiller Rundle Skewes Treloar"
              + " Uren Vivian Warne Youlton Zimmer Aldous Bolitho Carne Dyer Endean Fisk Gilbard Hext");
  private static final List<String[]> OTHER_ALPHABETS =
      List.of(
          new String[] {"Мария", "Соколова"},
          new String[] {"Иван", "Ладогин"},
          new String[] {"さくら", "森田"},
          new String[] {"Ελένη", "Καρράς"},
          new String[] {"ליאת", "ברק"},
          new String[] {"نور", "الحسن"},
          new String[] {"王", "小舟"},
          new String[] {"Łucja", "Żuk"},
          new String[] {"Đặng", "Thị Hà"});
  static final List<String> PLACES =
      List.of(
          "Lowen Quay",
          "Hollin Bay",
          "Utrecht",
          "Porto",
          "Umeå",
          "Bergen",
          "Lagos",
          "Saltmarsh",
          "Penmorva",
          "Tern Island",
          "Halifax",
          "Gdynia");

  /** The zone of the place at the same index. */
  static final List<String> ZONES =
      List.of(
          "Europe/London",
          "Europe/London",
          "Europe/Amsterdam",
          "Europe/Lisbon",
          "Europe/Stockholm",
          "Europe/Oslo",
          "Africa/Lagos",
          "Europe/London",
          "Europe/London",
          "Europe/Dublin",
          "America/Halifax",
          "Europe/Warsaw");

  static final List<String> TAGS =
      List.of(
          "slipway",
          "racing",
          "workshop",
          "volunteer",
          "youth",
          "rowing",
          "newsletter",
          "harbour supper");
  static final List<String> BERTHS =
      words(
          "Kittiwake Sanderling Dunlin Whimbrel Gannet Turnstone Plover Guillemot Razorbill Skua"
              + " Petrel Fulmar Avocet Curlew Redshank Greenshank Knot Puffin");
  static final List<String> PLANS = List.of("Oar", "Sail", "Workshop", "Family", "School");
  static final List<String> HOUSES =
      List.of(
          "Hollin Bay School",
          "Saltmarsh Rowing Club",
          "Penmorva Sea Scouts",
          "Lowen Quay Council",
          "Gorse & Daughters Joinery",
          "Tern Island Ferry",
          "Mossman Rope Works",
          "Bellweather Chandlery",
          "Kestrel Charters",
          "Quayle Marine Survey");
  static final List<String> REPLIES =
      List.of(
          "Yes please, the same cradle as last year if it is free.",
          "Thank you. Can I bring my neighbour along?",
          "Sorry, we are away that week. The week after would suit us.",
          "Count me in. What time should I be on the quay?",
          "Could you send me the price for the longer mast?",
          "I have paid at the desk on Friday, please check.",
          "The new mast is ready, can I bring it on Saturday?",
          "Please put me down for two places.");

  private DemoWords() {}

  static <T> T any(List<T> list, Random random) {
    return list.get(random.nextInt(list.size()));
  }

  static String[] otherAlphabet(Random random) {
    return any(OTHER_ALPHABETS, random);
  }

  private static List<String> words(String text) {
    return List.of(text.split(" "));
  }
}
