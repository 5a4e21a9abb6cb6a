using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Hosting;

namespace Wrapper.Server.MakeUps;

/// <summary>
/// Asks for an item with every default written in: a new one, or <see cref="From"/> taken over to another make-up.
/// </summary>
public sealed record NewItem(string Id, string Name, string MakeUp, JobUnit Unit, Item? From);

/// <summary>Asks for a cloth with usual values written in.</summary>
public sealed record NewCloth(string Id, string Name, JobUnit Unit);

/// <summary>A way in which a cloth can behave, in words, and what follows from it.</summary>
public sealed record TraitView(ClothTrait Trait, string Name, string Means);

/// <summary>The declarations, and items and cloths to begin with.</summary>
internal static class MakeUpEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/make-ups", (Drafting drafting) => drafting.MakeUps.Select(MakeUpView.Of))
            .WithName("listMakeUps")
            .WithSummary("What each make-up measures and what can be chosen.");

        api.MapPost(
                "/items",
                Results<Ok<Item>, ProblemHttpResult> (NewItem wanted, Drafting drafting) =>
                    drafting.Find(wanted.MakeUp) is { } makeUp
                        ? TypedResults.Ok(makeUp.NewItem(wanted.Id, wanted.Name, wanted.Unit, wanted.From))
                        : Problems.Fields([
                            new Problem("makeUp", wanted.MakeUp, 0, "no such make-up", drafting.MakeUps[0].Key),
                        ])
            )
            .ProducesProblem(422)
            .WithName("newItem")
            .WithSummary("An item with its defaults written in; entries of `from` are kept.");

        api.MapGet(
                "/cloth-traits",
                () => ClothTraits.All.Select(each => new TraitView(each.Trait, each.Name, each.Means))
            )
            .WithName("listClothTraits")
            .WithSummary("How a cloth can behave, and what follows from it.");

        api.MapPost("/cloths", (NewCloth wanted) => JobCloth.Usual(wanted.Id, wanted.Name, wanted.Unit))
            .WithName("newCloth")
            .WithSummary("A cloth with usual values written in: width, selvedges, the shop's step.");
    }
}
