using System.Globalization;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Server.Drawings;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Photos;

/// <summary>Outlines from photos of templates.</summary>
internal static class TracingEndpoints
{
    private const int Enough = 3200;
    private static readonly LengthLimits Side = new(Length.Millimetres(20), Length.Inches(48), "4", "10");

    public static void Map(RouteGroupBuilder api) =>
        api.MapPost(
                "/outlines/photo",
                async Task<Results<Ok<TemplateEdge>, ProblemHttpResult>> (
                    string square,
                    string side,
                    string unit,
                    string at,
                    HttpRequest request,
                    Database database,
                    Development development,
                    PictureQueue queue,
                    HttpContext context
                ) =>
                {
                    var read =
                        unit == "cm" ? JobUnit.Centimetre
                        : unit == "in8" ? JobUnit.InchEighths
                        : JobUnit.Inch;
                    var (length, refusal) = LengthReader.Read(side, read, Side);
                    if (length is not { } known)
                        return Problems.Fields([
                            new Problem("side", refusal!.Given, refusal.Position, refusal.Reason, refusal.Example),
                        ]);
                    if (Numbers(square) is not { Count: 8 } corners)
                        return Refuse(
                            "square",
                            square,
                            "eight numbers are needed: x and y of its corners",
                            "10,10,90,10,90,90,10,90"
                        );
                    if (Numbers(at) is not [var x, var y])
                        return Refuse("at", at, "two numbers are needed: a place on the template", "400,300");
                    await using var kept = PhotoStore.Incoming(database.Folder);
                    var (_, _, problem) = await SentPicture.Take(request, database, development, kept);
                    if (problem is not null)
                        return Problems.Fields([problem]);
                    return await queue.Run<Results<Ok<TemplateEdge>, ProblemHttpResult>>(
                        context,
                        _ =>
                        {
                            if (UprightPhoto.Read(kept, Enough) is not { } photo)
                                return Refuse("picture", "", "the picture cannot be read", "template.jpg");
                            using var image = photo.Image;
                            var (edge, reason) = TemplatePhoto.Read(photo, corners, known, (x, y), read);
                            return edge is not null
                                ? TypedResults.Ok(edge)
                                : Refuse(
                                    "picture",
                                    "",
                                    reason!,
                                    "a dark template on a pale table, the square beside it"
                                );
                        }
                    );
                }
            )
            .Accepts<Stream>("image/*")
            .WithMetadata(new RequestSizeLimitAttribute(SentPicture.MostRead))
            .ProducesProblem(422)
            .WithName("traceTemplate")
            .WithSummary(
                "The outline of a template in a photo, straightened by a `square` of known `side` that lies beside it: eight numbers, x and y of its corners in the photo from the upper left one on; `at` is a place on the template."
            );

    private static List<int>? Numbers(string text)
    {
        List<int> numbers = [];
        foreach (var part in text.Split(',').Take(9))
            if (int.TryParse(part, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var number))
                numbers.Add(number);
            else
                return null;
        return numbers;
    }

    private static ProblemHttpResult Refuse(string field, string given, string reason, string example) =>
        Problems.Fields([new Problem(field, given.Length > 40 ? given[..40] : given, 0, reason, example)]);
}
