// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/art/reader.hpp>
#include <chalkline/base/file.hpp>
#include <chalkline/job/chalk_file.hpp>
#include <chalkline/job/edits.hpp>
#include <chalkline/job/placing.hpp>

#include <catch2/catch.hpp>
#include <rapidcheck/catch.h>
#include <unistd.h>

#include <filesystem>

using namespace chalkline;
using namespace chalkline::job;

namespace {

Job sample() {
    return load(CHALKLINE_SAMPLES "/plot-27.chalk").value().job;
}

/// Draws nothing, and the lines of the drawing stay.
class BlankRenderer : public art::DrawingRenderer {
    Result<void> draw_svg(const std::string&, double, double, cairo_t*) const override { return {}; }
};

}  // namespace

TEST_CASE("the sample job opens as it was made") {
    const Job job = sample();
    REQUIRE(job.motifs.size() == 1);
    CHECK(job.motifs[0].art->name == "plate.svg");
    REQUIRE(job.steps.size() == 3);
    CHECK(job.steps[2].settings.kind == steps::StepKind::cut);
    CHECK(job.steps[2].settings.passes == 2);
    CHECK(job.stock->material == "Birch ply");
    CHECK(bounds(job).width() == Approx(154).margin(0.01));
}

TEST_CASE("a job is saved and opened again the same, byte by byte") {
    Job job = sample();
    job = leave_out(job, {{1, 2, 3}, InkKind::line});
    job.motifs[0].place = geometry::Transform::turn(0.3) * job.motifs[0].place;
    // The same drawing twice is stored once; another of the same name is not mixed up with it.
    job.motifs.push_back({++job.last_id, job.motifs[0].art, geometry::Transform::move(3, 4)});
    const std::string bytes = to_chalk(job).value();
    CHECK(to_chalk(job).value() == bytes);
    const Job again = parse_chalk(bytes, "x").value().job;
    CHECK(to_chalk(again).value() == bytes);
    CHECK(again.steps == job.steps);
    CHECK(again.left_out == job.left_out);
    CHECK(again.stock == job.stock);
    CHECK(again.motifs[0].place == job.motifs[0].place);
    CHECK(again.motifs[0].art == again.motifs[1].art);
}

TEST_CASE("how art was read is kept, each way of reading a file its own") {
    Job job = sample();
    art::ReadOptions options;
    options.scale = 0.25;
    options.stroke_area = art::ReadOptions::never;
    options.part = geometry::Box{0, 0, 80, 102};
    options.removed = {0, 2};
    options.mend = {art::Fault::doubled_line, art::Fault::open_end};
    options.limits.gap = 0.4;
    options.unit = 25.4;
    options.page = 2;
    options.picture_width = 33;
    options.text = art::DrawnText::single_stroke;
    options.cover = false;
    options.cover_lines = true;
    options.hatches = false;
    options.density = 72;
    auto other = art::read_again(*job.motifs[0].art, options, {});
    REQUIRE(other);
    other->linked.push_back({"pear.png", std::make_shared<const std::string>("bytes")});
    job.motifs.push_back({++job.last_id, std::make_shared<const art::Artwork>(*other), {}});
    const std::string bytes = to_chalk(job).value();
    const Job again = parse_chalk(bytes, "x").value().job;
    CHECK(again.motifs[1].art->read_with == options);
    CHECK(again.motifs[0].art->read_with == job.motifs[0].art->read_with);
    REQUIRE(again.motifs[1].art->linked.size() == 1);
    CHECK(*again.motifs[1].art->linked[0].bytes == "bytes");
    CHECK(to_chalk(again).value() == bytes);
    options.trace = art::TraceOptions{true, 90, 0.5, 0.3};
    options.as_picture = 0.08;
    other->read_with = options;
    job.motifs[1].art = std::make_shared<const art::Artwork>(*other);
    const BlankRenderer blank;
    const Job traced = parse_chalk(to_chalk(job).value(), "x", {nullptr, nullptr, {}, &blank}).value().job;
    CHECK(traced.motifs[1].art->read_with == options);
}

TEST_CASE("a job of version 1 opens as it was: every stroke a line") {
    const Job job = load(CHALKLINE_DATA "/job-v1.chalk").value().job;
    REQUIRE(job.motifs.size() == 1);
    CHECK(job.motifs[0].art->read_with.stroke_area == art::ReadOptions::never);
    CHECK_FALSE(job.motifs[0].art->read_with.cover);
    CHECK(bounds(job).width() == Approx(154).margin(0.01));
}

TEST_CASE("a job made before paint covered paint burns as it did, and that is said where it matters") {
    const Opened before = load(CHALKLINE_DATA "/job-v6.chalk").value();
    CHECK_FALSE(before.job.motifs[0].art->read_with.cover);
    CHECK_FALSE(before.job.motifs[0].art->read_with.hatches);
    REQUIRE(before.told.size() == 1);
    CHECK(before.told[0].code == notice::older_paint);
    // It is kept as it burns, and not said again.
    const Opened again = parse_chalk(to_chalk(before.job).value(), "x").value();
    CHECK_FALSE(again.job.motifs[0].art->read_with.cover);
    CHECK(again.told.empty());
    // Art of one ink burns alike either way.
    CHECK(load(CHALKLINE_DATA "/job-v1.chalk").value().told.empty());
}

TEST_CASE("names from hostile drawings stay names") {
    Job job = sample();
    auto art = *job.motifs[0].art;
    art.name = "../../etc/pass\nwd";
    job.motifs[0].art = std::make_shared<const art::Artwork>(art);
    const Job again = parse_chalk(to_chalk(job).value(), "x").value().job;
    CHECK(again.motifs[0].art->name == "../../etc/pass\nwd");
}

TEST_CASE("an empty job can be kept too") {
    const Job again = parse_chalk(to_chalk({}).value(), "x").value().job;
    CHECK(again.motifs.empty());
    CHECK_FALSE(again.stock);
}

TEST_CASE("what is no job, newer or damaged is told apart") {
    const auto code = [](const std::string& bytes) { return parse_chalk(bytes, "x.chalk").error().code; };
    CHECK(code("") == job::error::not_a_job);
    CHECK(code("<svg/>") == job::error::not_a_job);
    CHECK(code("PK\x03\x04 rubbish") == job::error::damaged);
    const std::string bytes = to_chalk(sample()).value();
    CHECK(code(bytes.substr(0, 60)) == job::error::damaged);
    CHECK(load("/nowhere/x.chalk").error().code == chalkline::error::file_missing);
}

TEST_CASE("what is whole of a damaged file is opened, the rest is named") {
    Job job = sample();
    art::Design design;
    design.what = art::FormDesign{art::FormDesign::Form::slot, 30, 8, 0, 6};
    job.motifs.push_back({++job.last_id, std::make_shared<const art::Artwork>(art::draw(design).value()), {}});
    const std::string bytes = to_chalk(job).value();

    // Cut in the middle of the drawing's bytes, past the list of the job.
    const auto cut = parse_chalk(bytes.substr(0, bytes.find("sources/1-plate.svg") + 200), "x.chalk");
    REQUIRE(cut);
    REQUIRE(cut->lost.size() == 1);
    CHECK(cut->lost[0].code == job::notice::lost_motif);
    CHECK(cut->lost[0].parameters[0].second == "plate.svg");
    REQUIRE(cut->job.motifs.size() == 1);
    CHECK(cut->job.motifs[0].art->design == design);
    CHECK(cut->job.steps == job.steps);

    // Only the table at the end of the archive is gone: nothing is lost.
    const auto headless = parse_chalk(bytes.substr(0, bytes.rfind("PK\x01\x02")), "x.chalk");
    REQUIRE(headless);
    CHECK(headless->lost.empty());
    CHECK(headless->job.motifs.size() == 2);

    // A byte of the drawing flipped: its checksum is wrong.
    std::string flipped = bytes;
    flipped[bytes.find("sources/1-plate.svg") + 120] ^= 0x55;
    const auto wrong = parse_chalk(flipped, "x.chalk");
    REQUIRE(wrong);
    CHECK(wrong->lost.size() == 1);
}

TEST_CASE("version 2 opens as it was") {
    const auto opened = load(CHALKLINE_DATA "/job-v2.chalk");
    REQUIRE(opened);
    CHECK(opened->lost.empty());
    CHECK(opened->job.motifs.size() == 1);
    CHECK_FALSE(opened->job.motifs[0].locked);
    CHECK(opened->job.stock->form == Stock::Form::rectangle);
    CHECK(opened->job.steps == sample().steps);
}

TEST_CASE("version 3 opens as it was") {
    const auto opened = load(CHALKLINE_DATA "/job-v3.chalk");
    REQUIRE(opened);
    CHECK(opened->lost.empty());
    const Job& job = opened->job;
    REQUIRE(job.motifs.size() == 2);
    CHECK(job.motifs[0].locked);
    CHECK(job.motifs[1].group == job.motifs[0].group);
    CHECK(job.motifs[1].step == job.steps[1].id);
    CHECK(job.stock->form == Stock::Form::ellipse);
    CHECK(job.datum->on_page == geometry::Point{3, 4});
    CHECK(job.steps == sample().steps);
}

TEST_CASE("every setting of a step, objects, marks and marked places are kept") {
    Job job = sample();
    Step& step = job.steps[0];
    step.on = false;
    step.note = "masked, wet";
    step.typed["speed"] = "30 %";
    auto& s = step.settings;
    s.low_power = Power::percent(12);
    s.lower_each_pass = Length::mm(0.5);
    s.air_lead = Duration::seconds(2);
    s.beam = steps::BeamControl::constant;
    s.fill = {steps::FillSettings::Way::contours,
              33,
              true,
              false,
              steps::FillSettings::First::right,
              Length::mm(4),
              steps::FillSettings::Tones::dots,
              true,
              Length::mm(-0.1)};
    s.line = {steps::LineSettings::Kerf::inside,
              Length::mm(0.2),
              Length::mm(2),
              Length::mm(1),
              5,
              Length::mm(0.7),
              Length::mm(3),
              Length::mm(0.5),
              steps::LineSettings::Order::as_drawn,
              steps::LineSettings::Parts::holes_first};
    job = send_object(job, 1, 2, job.steps[1].id).value();
    job = send_object(job, 1, 0, job.steps[2].id).value();
    job = mark_path(job, 1, PathMark::Kind::backwards, {100, 100}).value();
    job = mark_path(job, 1, PathMark::Kind::bridge, {90, 100}).value();
    job = mark_place(job, {12, 34});
    const std::string bytes = to_chalk(job).value();
    const Job back = parse_chalk(bytes, "x.chalk").value().job;
    CHECK(back.steps == job.steps);
    CHECK(back.motifs[0].objects == job.motifs[0].objects);
    CHECK(back.motifs[0].objects[0].shape == 0);
    CHECK(back.motifs[0].marks == job.motifs[0].marks);
    CHECK(back.marked == job.marked);
    CHECK(to_chalk(back).value() == bytes);
}

TEST_CASE("groups, locks, designs, the datum, round stock and unknown keys are kept") {
    Job job = sample();
    art::Design form;
    form.what = art::FormDesign{art::FormDesign::Form::polygon, 30, 20, 0, 5};
    form.rgb = {200, 30, 40};
    form.filled = true;
    art::Design line;
    line.what = art::FreehandDesign{{{0, 0}, {3, 4}, {9, 1}}, true};
    for (const art::Design& design : {form, line})
        job.motifs.push_back({++job.last_id, std::make_shared<const art::Artwork>(art::draw(design).value()),
                              geometry::Transform::move(5, 6)});
    job = group(job, {job.motifs[1].id, job.motifs[2].id}).value();
    job = set_locked(job, {1}, true).value();
    job = send_to_step(job, {job.motifs[1].id}, job.steps[0].id).value();
    job = set_datum(job, 1, {50, 60}).value();
    job.stock->form = Stock::Form::outline;
    job.stock->points = {{0, 0}, {1, 0}, {0.5, 1}};
    job.unknown = R"({"weather":"fine","list":[1,2]})";
    job.steps[1].unknown = R"({"later":{"a":1}})";
    job.stock->unknown = R"({"grain":30})";
    job.motifs[2].unknown = R"({"mood":null})";

    const std::string bytes = to_chalk(job).value();
    const Job again = parse_chalk(bytes, "x").value().job;
    CHECK(to_chalk(again).value() == bytes);
    CHECK(again.motifs[1].art->design == form);
    CHECK(again.motifs[2].art->design == line);
    CHECK(again.motifs[1].group == again.motifs[2].group);
    CHECK(again.motifs[0].locked);
    CHECK(again.motifs[1].step == job.steps[0].id);
    CHECK(again.datum == job.datum);
    CHECK(again.stock == job.stock);
    CHECK(again.unknown == job.unknown);
    CHECK(again.steps[1].unknown == job.steps[1].unknown);
    CHECK(again.motifs[2].unknown == job.motifs[2].unknown);
}

TEST_CASE("a job of version 4 opens with all its settings, and what came later is at rest") {
    const auto opened = load(CHALKLINE_DATA "/job-v4.chalk");
    REQUIRE(opened);
    CHECK(opened->lost.empty());
    const Job& job = opened->job;
    CHECK(job.steps[0].note == "wipe warm");
    CHECK(job.steps[0].typed.at("speed") == "30 %");
    CHECK(job.steps[0].settings.fill.crossed);
    CHECK(job.steps[0].settings.line.bridges == 2);
    CHECK_FALSE(job.steps.back().on);
    CHECK(job.motifs[0].marks.size() == 1);
    CHECK(job.marked.front().name == "pin");
    CHECK(job.stock->margin == Length::mm(2));
    CHECK(job.overrides.empty());
    Job later = override_check(job, {"check.off-stock", "8", "an offcut lies beside it", "2026-11-23T19:00:00"});
    later.stock->margin = Length::mm(5);
    const Job again = parse_chalk(to_chalk(later).value(), "x").value().job;
    CHECK(again.overrides == later.overrides);
    CHECK(again.stock->margin == Length::mm(5));
    CHECK(override_check(again, {"check.off-stock", "", "", ""}).overrides.empty());
}

TEST_CASE("a job of version 5 opens with its tones and overrides, and its pictures are prepared no further") {
    const auto opened = load(CHALKLINE_DATA "/job-v5.chalk");
    REQUIRE(opened);
    CHECK(opened->lost.empty());
    const Job& job = opened->job;
    CHECK(job.motifs[0].preparation.tone.gamma == 1.4);
    CHECK(job.motifs[0].preparation.tone.brightness == -5);
    raster::Preparation rest = job.motifs[0].preparation;
    rest.tone = {};
    CHECK(rest == raster::Preparation());
    CHECK(job.motifs[0].variants.empty());
    CHECK(job.steps[0].settings.picture.dots.method == raster::DitherMethod::stucki);
    CHECK(job.steps[0].settings.picture.burns_light);
    CHECK_FALSE(job.steps[0].settings.picture.spare_gain);
    CHECK(job.overrides.front().reason == "an offcut lies beside it");
    CHECK(job.stock->margin == Length::mm(3));
}

TEST_CASE("how a picture is prepared is kept inside what makes sense, whatever the file says") {
    const auto opened = load(CHALKLINE_DATA "/odd-preparation.chalk");
    REQUIRE(opened);
    // Nonsense loses its motif by name, not the job.
    CHECK(opened->lost.size() == 1);
    REQUIRE(opened->job.motifs.size() == 3);
    CHECK(opened->job.motifs[0].preparation.crop == raster::Part{0, 0.2, 1, 0.9});
    CHECK(opened->job.motifs[0].preparation.denoise == 1);
    CHECK(opened->job.motifs[1].preparation.crop.whole());
    const raster::Background& background = opened->job.motifs[2].preparation.background;
    CHECK(background.way == raster::Background::Way::flood);
    CHECK(background.tolerance == 0);
    CHECK(background.strokes.front().points.front() == raster::Place{0.5, 0.5});
}

TEST_CASE("no damage to the bytes crashes the reader") {
    const std::string bytes = to_chalk(sample()).value();
    rc::prop("flipped and cut bytes", [&] {
        std::string broken = bytes.substr(0, *rc::gen::inRange<std::size_t>(1, bytes.size() + 1));
        for (int i = *rc::gen::inRange(0, 10); i > 0; --i)
            broken[*rc::gen::inRange<std::size_t>(0, broken.size())] = *rc::gen::arbitrary<char>();
        const auto job = parse_chalk(broken, "x.chalk");
        if (!job) RC_ASSERT(!job.error().code.empty());
    });
}

TEST_CASE("saving replaces the file") {
    const auto path =
        (std::filesystem::temp_directory_path() / ("chalk-test-" + std::to_string(::getpid()) + ".chalk")).string();
    REQUIRE(save(sample(), path));
    REQUIRE(save(remove(sample(), {1}).value(), path));
    CHECK(load(path).value().job.motifs.empty());
    std::filesystem::remove(path);
}
