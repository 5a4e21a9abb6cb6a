using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>The sets that can be begun (craft §6.3, §7, §9).</summary>
public static class ItemSets
{
    private static readonly SetCount Seats = new("seats", "seat cushions side by side", 3, 1, 8);

    private static readonly SetMeasure Between = M("W", "between the arms", "Along the seat, arm to arm.", 72),
        SeatDepth = M("S", "seat depth", "From the back crevice to the front edge, cushions off.", 22),
        SeatThick = M("T", "seat cushion, thickness", "Of one dressed seat cushion.", 5),
        Front = M("F", "front", "From the front edge of the seat down to the hem line.", 16),
        OverArm = M("A", "over the arm", "From the seat crevice up, over the arm and down to the hem line.", 34),
        Arm = M("M", "arm", "Along the arm from its front edge to the back.", 34),
        Crevice = M("C", "crevice", "How deep a hand goes down between seat and arm.", 5),
        EarOut = Maybe("e", "end cushion, ear sideways", "Only if the end cushions reach out in front of the arms.", 5),
        EarDeep = Maybe("E", "end cushion, ear front to back", "How deep such an ear is.", 6),
        BackHigh = Maybe("H", "back cushion, height", "Only if there are back cushions: of one of them.", 20),
        BackThick = Maybe("B", "back cushion, thickness", "Of one back cushion.", 6);

    private static readonly SetCount Chairs = new("chairs", "chairs", 4, 1, 24);

    private static readonly SetMeasure TableWidth = M("W", "table, width", "Along its longer side, edge to edge.", 60),
        TableDepth = M("L", "table, depth", "Front to back.", 34),
        Drop = M("H", "drop", "From the table's edge down to where the hem shall be.", 12),
        PadWidth = M("w", "chair seat, width", "Across the front.", 16),
        PadDepth = M("l", "chair seat, depth", "Front to back.", 16),
        PadThick = M("T", "chair pad, thickness", "Of the foam or the filling.", 1),
        ChairBackWide = Maybe(
            "b",
            "chair back, width",
            "Only if the backs are covered too: across its widest part.",
            16
        ),
        ChairBackHigh = Maybe("h", "chair back, height", "From the seat to the top rail.", 20),
        ChairBackDeep = Maybe("d", "chair back, depth", "Front to back, through the back.", 2);

    private static readonly SetCount Pillows = new("pillows", "pillowcases", 2, 1, 12);

    private static readonly SetMeasure MattressWidth = M("W", "mattress, width", "Side to side.", 36),
        MattressLength = M("L", "mattress, length", "Head to foot.", 75),
        MattressHigh = M("T", "mattress, height", "Of its side.", 8),
        DuvetWidth = M("w", "duvet, width", "Side to side, spread flat.", 54),
        DuvetLength = M("l", "duvet, length", "Head to foot.", 78),
        PillowLength = M("p", "pillow, length", "End to end.", 26),
        PillowWidth = M("q", "pillow, width", "Across.", 18),
        PillowThick = M("t", "pillow, thickness", "Pressed lightly with the hand.", 4);

    /// <summary>All of them.</summary>
    public static IReadOnlyList<ItemSet> All { get; } =
    [
        new(
            "sofa",
            "Sofa with its cushions",
            "Three throw-on sheets, seat cushions with mirrored ends, back cushions.",
            [Seats],
            [Between, SeatDepth, SeatThick, Front, OverArm, Arm, Crevice, EarOut, EarDeep, BackHigh, BackThick],
            Sofa
        ),
        new(
            "dining",
            "Table with its chairs",
            "A fitted table cover, a pad for every chair, covers for their backs.",
            [Chairs],
            [TableWidth, TableDepth, Drop, PadWidth, PadDepth, PadThick, ChairBackWide, ChairBackHigh, ChairBackDeep],
            Dining
        ),
        new(
            "bed",
            "Bed with sheet, duvet and pillowcases",
            "The pillowcases lie in what the duvet cover and the sheet leave, where they share a cloth.",
            [Pillows],
            [
                MattressWidth,
                MattressLength,
                MattressHigh,
                DuvetWidth,
                DuvetLength,
                PillowLength,
                PillowWidth,
                PillowThick,
            ],
            Bed
        ),
    ];

    /// <summary>The set of a key, or null.</summary>
    public static ItemSet? Find(string key) => All.FirstOrDefault(set => set.Key == key);

    private static IEnumerable<SetPart> Sofa(SetReading of)
    {
        yield return new(
            "base",
            "sofa-base",
            1,
            [
                ("W", of[Between]),
                ("S", of[SeatDepth]),
                ("F", of[Front]),
                ("A", of[OverArm]),
                ("M", of[Arm]),
                ("C", of[Crevice]),
            ]
        );
        var (count, share) = (of[Seats], of[Between].Over(of[Seats]));
        var eared = of.Has(EarOut) && of.Has(EarDeep);
        if (eared)
            yield return count == 1
                ? new(
                    "seat cushion",
                    "box-cushion-strip",
                    1,
                    [
                        ("W", of[Between] + (2 * of[EarOut])),
                        ("N", of[Between]),
                        ("L", of[SeatDepth]),
                        ("E", of[EarDeep]),
                        ("T", of[SeatThick]),
                    ],
                    ("shape", "tee")
                )
                : new(
                    "seat cushions, left and right end",
                    "box-cushion-strip",
                    2,
                    [
                        ("W", share + of[EarOut]),
                        ("N", share),
                        ("L", of[SeatDepth]),
                        ("E", of[EarDeep]),
                        ("T", of[SeatThick]),
                    ],
                    ("shape", "ell"),
                    ("hand", "pairs")
                );
        if ((eared ? count - 2 : count) is > 0 and var between)
            yield return new(
                eared ? "seat cushions, middle" : "seat cushions",
                "box-cushion-strip",
                between,
                [("W", share), ("L", of[SeatDepth]), ("T", of[SeatThick])]
            );
        if (of.Has(BackHigh))
            yield return new(
                "back cushions",
                "pillowcase-cushion",
                count,
                [("W", share), ("L", of[BackHigh]), ("T", of.Has(BackThick) ? of[BackThick] : of[SeatThick])]
            );
    }

    private static IEnumerable<SetPart> Dining(SetReading of)
    {
        yield return new(
            "table",
            "table-five-pieces",
            1,
            [("W", of[TableWidth]), ("L", of[TableDepth]), ("H", of[Drop])]
        );
        yield return new(
            "chair pads",
            "knife-edge-pad",
            of[Chairs],
            [("W", of[PadWidth]), ("L", of[PadDepth]), ("T", of[PadThick])]
        );
        if (of.Has(ChairBackHigh))
            yield return new(
                "chair backs",
                "chair-back-slip-over",
                of[Chairs],
                [
                    ("W", of.Has(ChairBackWide) ? of[ChairBackWide] : of[PadWidth]),
                    ("H", of[ChairBackHigh]),
                    ("D", of.Has(ChairBackDeep) ? of[ChairBackDeep] : ChairBackDeep.Usual),
                ]
            );
    }

    private static IEnumerable<SetPart> Bed(SetReading of)
    {
        yield return new("duvet cover", "duvet-cover", 1, [("W", of[DuvetWidth]), ("L", of[DuvetLength])]);
        yield return new(
            "sheet",
            "fitted-sheet",
            1,
            [("W", of[MattressWidth]), ("L", of[MattressLength]), ("T", of[MattressHigh])]
        );
        yield return new(
            "pillowcases",
            "pillowcase-cushion",
            of[Pillows],
            [("W", of[PillowWidth]), ("L", of[PillowLength]), ("T", of[PillowThick])]
        );
    }

    private static SetMeasure M(string key, string name, string tape, int inches) =>
        new(key, name, tape, Length.Inches(inches));

    private static SetMeasure Maybe(string key, string name, string tape, int inches) =>
        new(key, name, tape, Length.Inches(inches), Optional: true);
}
