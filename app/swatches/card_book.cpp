// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/card_book.hpp"

#include "swatches/card_picture.hpp"
#include "widgets/controls.hpp"
#include "widgets/flow_layout.hpp"

#include <chalkline/wording/swatch_words.hpp>

#include <QDate>
#include <QHBoxLayout>
#include <QLocale>
#include <QPainter>
#include <algorithm>

namespace chalkline::app {
namespace {

QString name_of(const swatches::Card& card) {
    return QString::fromStdString(card.name.empty() ? swatches::title_of(card) : card.name);
}

QString material_of(const swatches::Card& card) {
    return card.material.empty() ? CardBook::tr("Some material") : QString::fromStdString(card.material);
}

/// How many of the last burn were kept, or that nothing is known yet.
QString found_of(const swatches::CardRecord& record) {
    if (record.burns.empty()) return CardBook::tr("not burned yet");
    const auto& burn = record.burns.back();
    const auto kept = std::count_if(burn.results.begin(), burn.results.end(), [](const swatches::CellResult& result) {
        return swatches::is_good(result.verdict);
    });
    const QString day = QLocale().toString(
        QDate::fromString(QString::fromStdString(burn.at.substr(0, 10)), Qt::ISODate), QLocale::ShortFormat);
    return kept > 0 ? CardBook::tr("burned %1, %n kept", nullptr, static_cast<int>(kept)).arg(day)
                    : CardBook::tr("burned %1").arg(day);
}

bool matches(const swatches::CardRecord& record, const QString& search) {
    QString all = name_of(record.card) + ' ' + material_of(record.card) + ' ' +
                  QString::fromStdString(record.card.code) + ' ' + wording::describe(record.card) + ' ' +
                  QString::fromStdString(record.card.note);
    for (const auto& burn : record.burns)
        for (const auto& result : burn.results)
            all += ' ' + QString::fromStdString(result.words) + ' ' + QString::fromStdString(result.note);
    const QStringList words = search.split(' ', Qt::SkipEmptyParts);
    return std::all_of(words.begin(), words.end(),
                       [&](const QString& word) { return all.contains(word, Qt::CaseInsensitive); });
}

}  // namespace

CardTile::CardTile(const swatches::CardRecord& record, const steps::Beam& beam, const theme::Roles& roles,
                   QWidget* parent)
    : QAbstractButton(parent), record_(record), beam_(beam), roles_(roles), found_(found_of(record)) {
    setFixedSize(sizeHint());
    setFocusPolicy(Qt::StrongFocus);
    setText(name_of(record.card));
    setAccessibleName(text());
    setAccessibleDescription(wording::describe(record.card) + ", " + found_);
    setToolTip(wording::describe(record.card));
}

void CardTile::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(hasFocus() ? QPen(roles_.accent, 2) : QPen(roles_.hairline, 1));
    painter.setBrush(underMouse() ? roles_.accent_soft : roles_.card);
    painter.drawRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 7, 7);
    draw_small(painter, QRectF(10, 10, 100, height() - 20), record_, beam_, roles_);
    const QRectF words(120, 10, width() - 130, height() - 20);
    painter.setFont(theme::font(theme::normal, QFont::DemiBold));
    painter.setPen(roles_.text);
    painter.drawText(words, Qt::AlignTop | Qt::TextWordWrap, text());
    painter.setFont(theme::font(theme::small));
    painter.setPen(roles_.quiet);
    QString sides = wording::name(record_.card.columns.what).toLower();
    if (record_.card.rows) sides += " × " + wording::name(record_.card.rows->what).toLower();
    painter.drawText(words, Qt::AlignBottom | Qt::TextWordWrap,
                     sides + "\n" + found_ + " · " + QString::fromStdString(record_.card.code));
}

CardBook::CardBook(SwatchDesk& desk, const theme::Roles& roles, QWidget* parent)
    : QWidget(parent), desk_(desk), roles_(roles) {
    setObjectName("cardBook");
    setAttribute(Qt::WA_StyledBackground);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(22, 14, 14, 0);
    all->setSpacing(12);
    auto* bar = new QHBoxLayout;
    search_ = new QLineEdit(this);
    search_->setPlaceholderText(tr("Find material, question, note…"));
    search_->setAccessibleName(tr("Find swatch cards"));
    search_->setClearButtonEnabled(true);
    bar->addWidget(search_, 1);
    auto* print = make_button(tr("Print the book…"), ButtonLook::plain, this);
    print->setToolTip(tr("What is shown, as a PDF"));
    bar->addWidget(print);
    all->addLayout(bar);
    scroll_ = new QScrollArea(this);
    scroll_->setObjectName("shelfScroll");
    scroll_->setWidgetResizable(true);
    scroll_->setFrameShape(QFrame::NoFrame);
    scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    all->addWidget(scroll_, 1);
    connect(search_, &QLineEdit::textChanged, this, &CardBook::fill);
    connect(print, &QPushButton::clicked, this, &CardBook::print_wanted);
    connect(&desk_, &SwatchDesk::changed, this, [this] {
        if (isVisible()) fill();
    });
}

std::vector<swatches::CardRecord> CardBook::shown() const {
    std::vector<swatches::CardRecord> cards;
    for (const auto& record : desk_.all())
        if (matches(record, search_->text())) cards.push_back(record);
    const auto newest = [](const swatches::CardRecord& record) {
        return record.burns.empty() ? record.card.date : record.burns.back().at;
    };
    std::stable_sort(cards.begin(), cards.end(), [&](const auto& a, const auto& b) {
        const int by_name = QString::localeAwareCompare(material_of(a.card), material_of(b.card));
        return by_name != 0 ? by_name < 0 : newest(a) > newest(b);
    });
    return cards;
}

void CardBook::fill() {
    auto* inside = new QWidget;
    inside->setObjectName("bookPages");
    auto* rows = new QVBoxLayout(inside);
    rows->setContentsMargins(0, 0, 8, 14);
    rows->setSpacing(8);
    const auto cards = shown();
    if (cards.empty())
        rows->addWidget(make_label(desk_.all().empty() ? tr("No card yet. Say on the right what you want to find out.")
                                                       : tr("No card matches."),
                                   Tone::quiet, inside));
    QWidget* group = nullptr;
    QString material;
    for (const auto& record : cards) {
        if (!group || material_of(record.card) != material) {
            material = material_of(record.card);
            rows->addWidget(make_label(material, Tone::heading, inside));
            group = new QWidget(inside);
            group->setLayout(new FlowLayout(10));
            rows->addWidget(group);
        }
        auto* tile = new CardTile(record, desk_.machine().beam, roles_, group);
        connect(tile, &QAbstractButton::clicked, this, [this, code = record.card.code] { Q_EMIT chose(code); });
        group->layout()->addWidget(tile);
    }
    rows->addStretch(1);
    // The tile that was clicked may be what asked for this.
    if (QWidget* before = scroll_->takeWidget()) before->deleteLater();
    scroll_->setWidget(inside);
}

NewCardPanel::NewCardPanel(SwatchDesk& desk, JobDocument& document, QWidget* parent) : QWidget(parent), desk_(desk) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(8);
    all->addWidget(make_label(tr("New card"), Tone::heading, this));
    auto* row = new QHBoxLayout;
    material_ = new QLineEdit(this);
    material_->setAccessibleName(tr("Material of the new card"));
    material_->setPlaceholderText(tr("Material, such as Birch ply"));
    thickness_ = make_length_field(tr("Thickness of the new card"), this);
    thickness_->setFixedWidth(72);
    row->addWidget(material_, 1);
    row->addWidget(thickness_);
    all->addLayout(row);
    all->addWidget(make_label(tr("What do you want to find out?"), Tone::quiet, this));
    for (int i = 0; i < swatches::ready_count; ++i) {
        const auto ready = static_cast<swatches::Ready>(i);
        auto* button = make_button(wording::name(ready), ButtonLook::plain, this);
        button->setToolTip(wording::purpose(ready));
        button->setAccessibleDescription(wording::purpose(ready));
        button->setFixedWidth(128);
        auto* words = make_label(wording::purpose(ready), Tone::quiet, this);
        words->setWordWrap(true);
        auto* line = new QHBoxLayout;
        line->setSpacing(10);
        line->addWidget(button);
        line->addWidget(words, 1);
        all->addLayout(line);
        connect(button, &QPushButton::clicked, this, [this, ready] { make(ready); });
    }
    all->addStretch(1);
    // The piece on the bed is the likeliest question, until somebody typed another.
    const auto follow = [this, &document] {
        const auto& stock = document.job().stock;
        if (!stock || material_->isModified()) return;
        material_->setText(QString::fromStdString(stock->material));
        thickness_->show_value(stock->thickness.mm());
    };
    thickness_->show_value(3);
    connect(&document, &JobDocument::changed, this, follow);
    follow();
}

void NewCardPanel::make(swatches::Ready ready) {
    desk_.choose({});
    swatches::Ground ground = desk_.ground();
    ground.material = material_->text().trimmed().toStdString();
    ground.thickness = Length::mm(thickness_->value());
    swatches::Card card = swatches::ready_card(ready, ground);
    card.name = wording::name(ready).toStdString();
    desk_.add(std::move(card), tr("New swatch card"));
    Q_EMIT made();
}

}  // namespace chalkline::app
