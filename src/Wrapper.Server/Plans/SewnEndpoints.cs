using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Planning;
using Wrapper.Core.Sewing;
using Wrapper.Server.Drafts;
using Wrapper.Server.Drawings;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Plans;

/// <summary>Covers sewn on screen, as data, as a still picture and as a model.</summary>
internal static class SewnEndpoints
{
    private const int Wide = 900,
        High = 600;

    private sealed record Shown(
        ItemPlan Item,
        SewnForm Form,
        IReadOnlyList<PrintedPart> Print,
        IReadOnlyDictionary<string, string> Together,
        IReadOnlyDictionary<string, ClothTile> Tiles
    );

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost(
                "/sewn",
                (
                    SewnRequest request,
                    Drafting drafting,
                    FormCache forms,
                    LayCache kept,
                    LayQueue queue,
                    HttpContext context
                ) =>
                    Costly.Answer<SewnView>(
                        queue,
                        context,
                        JobLimits.Check(request.Job),
                        cancel =>
                        {
                            var (shown, refused) = Sew(request.Job, request.Item, drafting, forms, kept, cancel);
                            return shown is null
                                ? refused!
                                : TypedResults.Ok(
                                    SewnView.Of(
                                        shown.Item,
                                        shown.Form,
                                        shown.Print,
                                        shown.Together,
                                        ItemForm.Notes(shown.Item.Item, drafting),
                                        request.Job
                                    )
                                );
                        }
                    )
            )
            .ProducesProblem(422)
            .WithName("sewn")
            .WithSummary(
                "An item sewn from its own seams, each face with the part of the cloth that the lay gives it."
            );

        File("sewn.svg", "image/svg+xml", "sewnStill", "A still picture of an item as it will be sewn.", Still);
        File("sewn.png", "image/png", "sewnPicture", "The same with its print, as the lay has it.", Picture);
        File(
            "sewn.glb",
            "model/gltf-binary",
            "sewnModel",
            "An item as it will be sewn, as a binary glTF model.",
            Model
        );

        void File(string name, string type, string operation, string summary, Func<Shown, TileDrawing, byte[]> of) =>
            api.MapGet(
                    $"/jobs/{{id}}/items/{{item}}/{name}",
                    async Task<Results<FileContentHttpResult, ProblemHttpResult>> (
                        string id,
                        string item,
                        JobStore store,
                        IOptions<JsonOptions> json,
                        Drafting drafting,
                        FormCache forms,
                        LayCache kept,
                        LayQueue queue,
                        TileDrawing drawing,
                        HttpContext context
                    ) =>
                    {
                        if (store.Find(id) is not { } stored)
                            return Problems.NotFound($"There is no job {id}.");
                        var job = JobView.Of(stored, json.Value.SerializerOptions);
                        return await queue.Run<Results<FileContentHttpResult, ProblemHttpResult>>(
                            context,
                            turn =>
                            {
                                var (shown, refused) = Sew(job.Document, item, drafting, forms, kept, turn.Cancel);
                                return shown is null ? refused! : TypedResults.File(of(shown, drawing), type);
                            }
                        );
                    }
                )
                .Produces<byte[]>(200, type)
                .ProducesProblem(404)
                .ProducesProblem(422)
                .WithName(operation)
                .WithSummary(summary);
    }

    private static (Shown? Shown, ProblemHttpResult? Refused) Sew(
        JobDocument job,
        string id,
        Drafting drafting,
        FormCache forms,
        LayCache kept,
        CancellationToken cancel
    )
    {
        var plan = Plan.Of(job, drafting, lay: true, kept, cancel);
        if (plan.Items.FirstOrDefault(item => item.Item.Id == id) is not { } item)
            return (
                null,
                Problems.Fields([
                    new Problem("item", id, 0, "this job has no such item", job.Items.Count > 0 ? job.Items[0].Id : ""),
                ])
            );
        if (item.Draft.Problems.Count > 0)
            return (null, Problems.Fields(item.Draft.Problems));
        return forms.Of(item.Item, job, drafting, cancel) is { } form
            ? (
                new Shown(
                    item,
                    form,
                    ItemForm.Print(item, form, plan),
                    PrintSlide.Together(plan, id),
                    FormCloth.Tiles(plan)
                ),
                null
            )
            : (null, Problems.Fields([new Problem("item", id, 0, "it has no seams to be sewn", "")]));
    }

    private static string ToneOf(Shown shown, FormSheet sheet) =>
        PartOf(shown, sheet) is { } part
            ? shown.Tiles.GetValueOrDefault(part.Cloth, ClothTile.Plain).Tone
            : ClothTile.Plain.Tone;

    private static PrintedPart? PartOf(Shown shown, FormSheet sheet) =>
        shown.Print.FirstOrDefault(part => part.FormPiece == sheet.Piece && part.Instance == sheet.Instance);

    private static byte[] Still(Shown shown, TileDrawing drawing) =>
        System.Text.Encoding.UTF8.GetBytes(
            SewnStill.Of(shown.Form, shown.Item.Item.Name, sheet => ToneOf(shown, sheet))
        );

    private static byte[] Picture(Shown shown, TileDrawing drawing) =>
        SewnPicture.Of(shown.Form, Wide, High, FormCloth.Laid(shown.Print, shown.Tiles), drawing);

    private static byte[] Model(Shown shown, TileDrawing drawing) =>
        GlbModel.Of(
            shown.Form,
            sheet => $"{sheet.Piece} {sheet.Instance}",
            FormCloth.Laid(shown.Print, shown.Tiles),
            drawing
        );
}
