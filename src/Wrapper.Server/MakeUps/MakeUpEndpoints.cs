using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Hosting;
using Wrapper.Server.Making;
using Wrapper.Store;

namespace Wrapper.Server.MakeUps;

/// <summary>
/// Asks for an item with every default written in: a new one, or <see cref="From"/> taken over to another make-up.
/// </summary>
public sealed record NewItem(string Id, string Name, string MakeUp, JobUnit Unit, Item? From);

/// <summary>
/// Asks for the items of a set: which, what their ids and names begin with, and what is measured and counted by key.
/// </summary>
public sealed record NewSet(
    string Set,
    string Id,
    string Name,
    JobUnit Unit,
    IReadOnlyDictionary<string, Entry> Entries
);

/// <summary>A set that can be begun in one step: what is counted, what is measured once for all its items, and what its first item is.</summary>
public sealed record SetView(
    string Key,
    string Name,
    string Suits,
    IReadOnlyList<SetCount> Counts,
    IReadOnlyList<SetMeasureView> Measures,
    string FirstMakeUp
);

/// <summary>A shared measurement of a set, with a usual size in either unit for an example.</summary>
public sealed record SetMeasureView(
    string Key,
    string Name,
    string HoldTape,
    bool Optional,
    string InchExample,
    string CentimetreExample
);

/// <summary>Asks for a cloth with usual values written in.</summary>
public sealed record NewCloth(string Id, string Name, JobUnit Unit);

/// <summary>A way in which a cloth can behave, in words, and what follows from it.</summary>
public sealed record TraitView(ClothTrait Trait, string Name, string Means);

/// <summary>The declarations, and items and cloths to begin with.</summary>
internal static class MakeUpEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/make-ups", (Drafting drafting) => drafting.MakeUps.Select(each => MakeUpView.Of(each, drafting)))
            .WithName("listMakeUps")
            .WithSummary("What each make-up measures and what can be chosen.");

        api.MapPost(
                "/items",
                Results<Ok<Item>, ProblemHttpResult> (
                    NewItem wanted,
                    Drafting drafting,
                    WayStore ways,
                    Learnt learnt
                ) =>
                    drafting.Find(wanted.MakeUp) is { } makeUp
                        ? TypedResults.Ok(
                            (
                                wanted.From is null
                                    ? learnt.Begun(makeUp.NewItem(wanted.Id, wanted.Name, wanted.Unit))
                                    : makeUp.NewItem(wanted.Id, wanted.Name, wanted.Unit, wanted.From)
                            ) with
                            {
                                Way = WayEndpoints.Of(ways, makeUp.Key),
                            }
                        )
                        : Problems.Fields([
                            new Problem("makeUp", wanted.MakeUp, 0, "no such make-up", drafting.MakeUps[0].Key),
                        ])
            )
            .ProducesProblem(422)
            .WithName("newItem")
            .WithSummary("An item with its defaults written in; entries of `from` are kept.");

        api.MapPost(
                "/items/mirror",
                Results<Ok<Item>, ProblemHttpResult> (Item item, Drafting drafting) =>
                    drafting.Find(item.MakeUp) is { } makeUp
                        ? TypedResults.Ok(makeUp.Mirrored(item))
                        : Problems.Fields([
                            new Problem("makeUp", item.MakeUp, 0, "no such make-up", drafting.MakeUps[0].Key),
                        ])
            )
            .ProducesProblem(422)
            .WithName("mirrorItem")
            .WithSummary("The item as it would be seen in a mirror; the same where its left and right are alike.");

        api.MapGet(
                "/cloth-traits",
                () => ClothTraits.All.Select(each => new TraitView(each.Trait, each.Name, each.Means))
            )
            .WithName("listClothTraits")
            .WithSummary("How a cloth can behave, and what follows from it.");

        api.MapGet("/sets", () => ItemSets.All.Select(ViewOf))
            .WithName("listSets")
            .WithSummary("Sets of items that are begun in one step with shared measurements.");

        api.MapPost(
                "/sets",
                Results<Ok<IReadOnlyList<Item>>, ProblemHttpResult> (NewSet wanted, Drafting drafting) =>
                {
                    if (ItemSets.Find(wanted.Set) is not { } set)
                        return Problems.Fields([new Problem("set", wanted.Set, 0, "no such set", ItemSets.All[0].Key)]);
                    var (items, problems) = set.Begin(wanted.Id, wanted.Name, wanted.Unit, wanted.Entries, drafting);
                    return problems.Count > 0 ? Problems.Fields(problems) : TypedResults.Ok(items);
                }
            )
            .ProducesProblem(422)
            .WithName("newSet")
            .WithSummary("The items of a set, their shared measurements written in.");

        api.MapPost("/cloths", (NewCloth wanted) => JobCloth.Usual(wanted.Id, wanted.Name, wanted.Unit))
            .WithName("newCloth")
            .WithSummary("A cloth with usual values written in: width, selvedges, the shop's step.");
    }

    private static SetView ViewOf(ItemSet set) =>
        new(
            set.Key,
            set.Name,
            set.Suits,
            set.Counts,
            [
                .. set.Measures.Select(measure => new SetMeasureView(
                    measure.Key,
                    measure.Name,
                    measure.HoldTape,
                    measure.Optional,
                    LengthPrinter.Finished(measure.Usual, JobUnit.Inch).Text,
                    LengthPrinter.Finished(measure.Usual, JobUnit.Centimetre).Text
                )),
            ],
            set.FirstMakeUp
        );
}
