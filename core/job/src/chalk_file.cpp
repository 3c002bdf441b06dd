// SPDX-License-Identifier: GPL-3.0-or-later
#include "chalk/parts.hpp"
#include "chalk/zip.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/base/file.hpp>
#include <chalkline/job/chalk_file.hpp>

#include <iterator>
#include <map>
#include <memory>
#include <set>

namespace chalkline::job {
namespace {

constexpr const char* manifest = "job.json";

/// Name of a source inside the file: numbered, so that two files of one name do not meet; never a path.
std::string entry_name(std::size_t index, const std::string& name) {
    std::string plain = name.substr(name.find_last_of('/') + 1);
    for (char& c : plain)
        if (static_cast<unsigned char>(c) < 0x20 || c == '\\') c = '_';
    return "sources/" + std::to_string(index + 1) + "-" + plain;
}

/// Reads the art of motifs, each distinct way of reading a source once.
class ArtShelf {
 public:
    ArtShelf(const ZipContents& file, const std::string& job_name, const art::Outside& outside, const Watch& watch)
        : file_(file), job_name_(job_name), outside_(outside), watch_(watch) {}

    Result<std::shared_ptr<const art::Artwork>> get(const Json& motif) {
        const Json read = motif.value("read", Json::object());
        const std::string key =
            (motif.contains("design") ? motif.at("design").dump() : motif.at("source").get<std::string>()) +
            read.dump();
        auto& kept = shelf_[key];
        if (kept) return kept;
        auto art = motif.contains("design") ? draw_design(motif, read) : read_source(motif, read);
        if (!art) return tl::unexpected(art.error());
        kept = std::make_shared<const art::Artwork>(std::move(*art));
        return kept;
    }

 private:
    Result<art::Artwork> draw_design(const Json& motif, const Json& read) {
        auto art = art::draw(design_from_json(motif.at("design")), outside_);
        if (art) art->read_with = read_options_from_json(read);
        return art;
    }

    Result<art::Artwork> read_source(const Json& motif, const Json& read) {
        art::Artwork bare;
        bare.name = motif.at("name");
        auto bytes = entry(motif.at("source"));
        if (!bytes) return tl::unexpected(bytes.error());
        bare.source = std::move(*bytes);
        for (const Json& file : motif.value("linked", Json::array())) {
            auto linked = entry(file.at("source"));
            if (!linked) return tl::unexpected(linked.error());
            bare.linked.push_back({file.at("reference"), std::move(*linked)});
        }
        return art::read_again(bare, read_options_from_json(read), outside_, watch_);
    }

    Result<std::shared_ptr<const std::string>> entry(const std::string& name) {
        auto& kept = entries_[name];
        if (kept) return kept;
        const auto found = file_.entries.find(name);
        if (found == file_.entries.end()) return fail(error::damaged, {{"reason", name}}, job_name_);
        kept = std::make_shared<const std::string>(found->second);
        return kept;
    }

    const ZipContents& file_;
    const std::string& job_name_;
    const art::Outside& outside_;
    const Watch& watch_;
    std::map<std::string, std::shared_ptr<const std::string>> entries_;
    std::map<std::string, std::shared_ptr<const art::Artwork>> shelf_;
};

Result<Motif> motif_from_json(const Json& json, ArtShelf& shelf) {
    const auto art = shelf.get(json);
    if (!art) return tl::unexpected(art.error());
    Motif motif{json.at("id"), *art, transform_from_json(json.at("place"))};
    motif.group = json.value("group", 0);
    motif.locked = json.value("locked", false);
    if (json.contains("step")) motif.step = json.at("step").get<Id>();
    for (const Json& object : json.value("objects", Json::array()))
        if (const std::size_t shape = object.at("shape"); shape < motif.art->shapes.size())
            motif.objects.push_back({shape, object.at("step")});
    for (const Json& mark : json.value("marks", Json::array()))
        motif.marks.push_back(path_mark_from_json(mark));
    motif.preparation = preparation_from_json(json.value("prepare", Json::object()));
    motif.preparation.tone = tone_from_json(json.value("tone", Json::object()));
    for (const Json& variant : json.value("variants", Json::array()))
        motif.variants.push_back(variant_from_json(variant));
    motif.unknown = unknown_keys(json, {"id", "name", "source", "design", "place", "read", "linked", "group", "locked",
                                        "step", "objects", "marks", "prepare", "tone", "variants"});
    return motif;
}

/// Reads a part of the job, or says that it is lost.
template <class Read>
void read_or_lose(Opened& opened, std::string_view code, const std::string& name, Read read) {
    try {
        if (const Result<void> done = read(); done)
            return;
        else if (done.error().code == chalkline::error::cancelled)
            return;
    } catch (const std::exception&) {
        // Said below: what it was matters more than which key was wrong.
    }
    opened.lost.push_back({std::string(code), {{"name", name}}, 1, 0});
}

Opened job_from_json(const Json& json, ArtShelf& shelf) {
    Opened opened;
    Job& job = opened.job;
    job.last_id = json.at("last_id");
    for (const Json& step : json.value("steps", Json::array()))
        read_or_lose(opened, notice::lost_step, step.value("kind", "?"), [&]() -> Result<void> {
            job.steps.push_back(step_from_json(step));
            return {};
        });
    job.left_out = inks_from_json(json.value("left_out", Json::array()));
    if (json.contains("card")) job.card = json.at("card").dump();
    if (json.contains("stock"))
        read_or_lose(opened, notice::lost_stock, "", [&]() -> Result<void> {
            job.stock = stock_from_json(json.at("stock"));
            return {};
        });
    for (const Json& motif : json.value("motifs", Json::array()))
        read_or_lose(opened, notice::lost_motif, motif.value("name", "?"), [&]() -> Result<void> {
            auto read = motif_from_json(motif, shelf);
            if (!read) return tl::unexpected(read.error());
            job.motifs.push_back(std::move(*read));
            return {};
        });
    if (const auto datum = json.find("datum"); datum != json.end() && job.motif(datum->at("motif")))
        job.datum = Datum{datum->at("motif"), {datum->at("on_page_mm").at(0), datum->at("on_page_mm").at(1)}};
    // What is sent to a step that is lost goes by its inks again.
    for (Motif& motif : job.motifs) {
        if (motif.step && !job.step(*motif.step)) motif.step.reset();
        std::erase_if(motif.objects, [&](const OwnStep& object) { return !job.step(object.step); });
    }
    for (const Json& marked : json.value("marked", Json::array()))
        job.marked.push_back(marked_from_json(marked));
    for (const Json& one : json.value("overrides", Json::array()))
        job.overrides.push_back(override_from_json(one));
    job.unknown = unknown_keys(json, {"format", "version", "last_id", "motifs", "steps", "left_out", "stock", "datum",
                                      "marked", "overrides", "card"});
    return opened;
}

/// Version 1 knew no stroke areas: every stroke was a line, and stays one.
void migrate_to_2(Json& json) {
    for (Json& motif : json.at("motifs"))
        motif["read"] = {{"stroke_area_mm", nullptr}};
}

/// Before version 7 paint covered nothing: what was burned then is burned still.
void migrate_to_7(Json& json) {
    for (Json& motif : json.at("motifs"))
        motif["read"]["cover"] = false;
}

/// Before version 8 every line of a CAD drawing was whole, and only lines closer than 0.02 mm were one.
void migrate_to_8(Json& json) {
    for (Json& motif : json.at("motifs")) {
        Json& read = motif["read"];
        read["linetypes"] = false;
        const art::CleaningLimits ordinary;
        if (read.contains("mend") && !read.contains("limits_mm"))
            read["limits_mm"] = {
                {"same", 0.02}, {"smallest", ordinary.smallest}, {"gap", ordinary.gap}, {"thick", ordinary.thick}};
    }
}

/// Before version 9 a pattern of thin lines was a picture.
void migrate_to_9(Json& json) {
    for (Json& motif : json.at("motifs"))
        motif["read"]["hatches"] = false;
}

/// Some art would burn otherwise if its paint covered: it has areas of several inks, or a picture with areas.
bool could_cover(const Job& job) {
    return std::any_of(job.motifs.begin(), job.motifs.end(), [](const Motif& motif) {
        std::set<Ink> fills;
        for (const art::Shape& shape : motif.art->shapes)
            if (shape.ink.kind == InkKind::fill) fills.insert(shape.ink);
        return fills.size() + (motif.art->pictures.empty() ? 0 : 1) > 1;
    });
}

/// The sources of a job as entries of the file, each once.
class SourceEntries {
 public:
    /// The entry that holds these bytes.
    std::string name_of(const std::shared_ptr<const std::string>& bytes, const std::string& file_name) {
        auto& name = names_[bytes.get()];
        if (name.empty()) {
            name = entry_name(names_.size() - 1, file_name);
            entries.push_back({name, *bytes});
        }
        return name;
    }
    std::vector<ZipEntry> entries;

 private:
    std::map<const std::string*, std::string> names_;
};

Json motif_to_json(const Motif& motif, SourceEntries& sources) {
    const art::Artwork& art = *motif.art;
    const auto& p = motif.place;
    Json json{{"id", motif.id}, {"name", art.name}};
    if (art.design)
        json["design"] = to_json(*art.design);
    else
        json["source"] = sources.name_of(art.source, art.name);
    json["place"] = {p.a, p.b, p.c, p.d, p.e, p.f};
    if (motif.group != 0) json["group"] = motif.group;
    if (motif.locked) json["locked"] = true;
    if (motif.step) json["step"] = *motif.step;
    for (const OwnStep& object : motif.objects)
        json["objects"].push_back({{"shape", object.shape}, {"step", object.step}});
    for (const PathMark& mark : motif.marks)
        json["marks"].push_back(to_json(mark));
    if (const Json prepare = to_json(motif.preparation); !prepare.empty()) json["prepare"] = prepare;
    if (const Json tone = to_json(motif.preparation.tone); !tone.empty()) json["tone"] = tone;
    for (const Variant& variant : motif.variants)
        json["variants"].push_back(to_json(variant));
    if (const Json read = to_json(art.read_with); !read.empty()) json["read"] = read;
    for (const art::LinkedFile& file : art.linked)
        json["linked"].push_back(
            {{"reference", file.reference}, {"source", sources.name_of(file.bytes, file.reference)}});
    add_unknown(json, motif.unknown);
    return json;
}

}  // namespace

Result<std::string> to_chalk(const Job& job) {
    SourceEntries sources;
    Json motifs = Json::array();
    for (const Motif& motif : job.motifs)
        motifs.push_back(motif_to_json(motif, sources));
    Json json{{"format", "chalkline-job"}, {"version", chalk_version}, {"last_id", job.last_id}, {"motifs", motifs}};
    json["steps"] = Json::array();
    for (const Step& step : job.steps)
        json["steps"].push_back(to_json(step));
    json["left_out"] = to_json(job.left_out);
    if (!job.card.empty()) json["card"] = Json::parse(job.card);
    if (job.stock) json["stock"] = to_json(*job.stock);
    if (job.datum)
        json["datum"] = {{"motif", job.datum->motif}, {"on_page_mm", {job.datum->on_page.x, job.datum->on_page.y}}};
    for (const MarkedPlace& marked : job.marked)
        json["marked"].push_back(to_json(marked));
    for (const Override& one : job.overrides)
        json["overrides"].push_back(to_json(one));
    add_unknown(json, job.unknown);
    std::vector<ZipEntry> entries{{manifest, json.dump(2, ' ', false, Json::error_handler_t::replace) + "\n"}};
    std::move(sources.entries.begin(), sources.entries.end(), std::back_inserter(entries));
    return write_zip(entries);
}

Result<Opened> parse_chalk(const std::string& bytes, const std::string& name, const art::Outside& outside,
                           const Watch& watch) {
    const auto file = read_zip(bytes);
    if (!file) return fail(bytes.starts_with("PK") ? error::damaged : error::not_a_job, {{"reason", "zip"}}, name);
    const auto text = file->entries.find(manifest);
    if (text == file->entries.end())
        return fail(file->whole ? error::not_a_job : error::damaged, {{"reason", manifest}}, name);
    Json json = Json::parse(text->second, nullptr, false);
    if (!json.is_object() || json.value("format", Json()) != "chalkline-job") return fail(error::not_a_job, {}, name);
    if (!json.contains("version") || !json["version"].is_number_integer())
        return fail(error::damaged, {{"reason", "version"}}, name);
    if (json["version"] > chalk_version)
        return fail(error::newer_version, {{"version", std::to_string(json["version"].get<int>())}}, name);
    try {
        const bool older_paint = json["version"] < 7;
        if (json["version"] < 2) migrate_to_2(json);
        if (older_paint) migrate_to_7(json);
        if (json["version"] < 8) migrate_to_8(json);
        if (json["version"] < 9) migrate_to_9(json);
        ArtShelf shelf(*file, name, outside, watch);
        Opened opened = job_from_json(json, shelf);
        if (watch.cancelled()) return fail(chalkline::error::cancelled, {}, name);
        if (older_paint && could_cover(opened.job)) opened.told.push_back({std::string(notice::older_paint), {}, 1, 0});
        const bool empty = opened.job.motifs.empty() && opened.job.steps.empty();
        if (empty && !opened.lost.empty()) return fail(error::damaged, {{"reason", opened.lost[0].code}}, name);
        return opened;
    } catch (const std::exception& thrown) {
        return fail(error::damaged, {{"reason", thrown.what()}}, name);
    }
}

Result<Opened> load(const std::string& path, const art::Outside& outside, const Watch& watch) {
    auto bytes = read_file(path);
    if (!bytes) return tl::unexpected(bytes.error());
    return parse_chalk(*bytes, path, outside, watch);
}

Result<void> save(const Job& job, const std::string& path) {
    auto bytes = to_chalk(job);
    if (!bytes) return tl::unexpected(bytes.error());
    return replace_file(path, *bytes);
}

}  // namespace chalkline::job
