using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Wrapper.Core.Jobs;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Wrapper.Core.Words;
using Wrapper.Server.Drafts;
using Wrapper.Server.Drawings;
using Wrapper.Server.MakeUps;
using Wrapper.Server.Making;
using Wrapper.Server.Plans;

namespace Wrapper.Server.Workrooms;

/// <summary>
/// The vocabulary of the workroom, and which texts of answers are told in it: those that are this program's. What
/// somebody typed is told as it was typed.
/// </summary>
public sealed class Wording
{
    /// <summary>Of each type the properties whose texts are this program's.</summary>
    public static readonly IReadOnlyDictionary<Type, string[]> Told = new Dictionary<Type, string[]>
    {
        [typeof(MakeUpView)] = ["name", "family", "suits"],
        [typeof(MeasureView)] = ["name", "holdTape"],
        [typeof(ChoiceView)] = ["name", "group", "note"],
        [typeof(OptionView)] = ["name", "suits"],
        [typeof(AllowanceView)] = ["name"],
        [typeof(ComparisonView)] = ["name", "suits", "filling"],
        [typeof(SetView)] = ["name", "suits"],
        [typeof(SetCount)] = ["name"],
        [typeof(SetMeasureView)] = ["name", "holdTape"],
        [typeof(TraitView)] = ["means"],
        [typeof(Problem)] = ["reason"],
        [typeof(Remark)] = ["text", "onCare"],
        [typeof(PieceView)] = ["name", "note"],
        [typeof(SizeView)] = ["name", "working"],
        [typeof(EdgeView)] = ["name"],
        [typeof(SeamView)] = ["name", "fault"],
        [typeof(StepView)] = ["text", "seams", "cautions", "work"],
        [typeof(StepCheckView)] = ["text"],
        [typeof(WorkView)] = ["name", "over"],
        [typeof(NotionView)] = ["name", "note", "working"],
        [typeof(MatchView)] = ["name", "follows"],
        [typeof(SavingView)] = ["name"],
        [typeof(ShoppingLine)] = ["name", "note"],
        [typeof(SewnSheetView)] = ["name"],
        [typeof(SewnStepView)] = ["text"],
        [typeof(SewnMarkView)] = ["what"],
        [typeof(SewnView)] = ["check", "strains", "description"],
        [typeof(SetSideView)] = ["name"],
        [typeof(SetMarkView)] = ["what", "side"],
        [typeof(SetLineView)] = ["kind"],
        [typeof(SettingOutView)] = ["working"],
        [typeof(TurnView)] = ["text", "work"],
        [typeof(AtBenchView)] = ["heldBy", "cautions"],
        [typeof(SetUp)] = ["foot", "stitch"],
        [typeof(ShownView)] = ["name", "words"],
        [typeof(SubjectView)] = ["name"],
        [typeof(ProposalView)] = ["name"],
        [typeof(CheckView)] = ["text", "otherwise"],
        [typeof(LitPieceView)] = ["name"],
        [typeof(LitSeamView)] = ["name"],
    };

    private volatile Vocabulary vocabulary = new(new Dictionary<string, string>());

    /// <summary>What is spoken now.</summary>
    public Vocabulary Vocabulary => vocabulary;

    /// <summary>Takes up words as they are kept; this program's own where they cannot be read.</summary>
    public void TakeUp(string? words)
    {
        try
        {
            vocabulary = new(JsonSerializer.Deserialize<Dictionary<string, string>>(words ?? "{}") ?? []);
        }
        catch (JsonException)
        {
            vocabulary = new(new Dictionary<string, string>());
        }
    }

    /// <summary>Has what is <see cref="Told"/> of a type read through the vocabulary, whenever it is written.</summary>
    public void Tell(JsonTypeInfo type)
    {
        if (!Told.TryGetValue(type.Type, out var names))
            return;
        foreach (var property in type.Properties)
            if (names.Contains(property.Name) && property.Get is { } get)
                property.Get = of => IsTyped(of) ? get(of) : Said(get(of));
    }

    // A cloth on the list is called as its maker calls it, and so are the maker's own steps.
    private static bool IsTyped(object of) =>
        of is ShoppingLine { At: Counter.Cloth } or TurnView { Kind: StepKind.Own };

    private object? Said(object? value) =>
        value switch
        {
            string text => vocabulary.Say(text),
            IReadOnlyList<string> texts => (IReadOnlyList<string>)[.. texts.Select(vocabulary.Say)],
            _ => value,
        };
}
